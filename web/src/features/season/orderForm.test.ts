import { describe, expect, it } from "vitest";
import type { LibraryView, SectionView } from "../../api/types";
import { findMilestones, newOrders, scopeOptions, toggleScope } from "./orderForm";

const sections = [
  {
    instrument: "violin",
    plural: "Violins",
    family: "STRING",
    divisions: [
      { name: "First", students: 4 },
      { name: "Second", students: 5 },
    ],
  },
  { instrument: "cello", plural: "Cellos", family: "STRING", divisions: [] },
] as unknown as SectionView[];

describe("for whom", () => {
  it("offers tutti, families, sections, divisions, and each instrument in every class", () => {
    expect(scopeOptions("c1", "Chamber Strings", sections, []).map((option) => option.name)).toEqual([
      "Tutti, Chamber Strings",
      "Strings",
      "Violins",
      "Violins, First",
      "Violins, Second",
      "Cellos",
      "Violins, every class",
      "Cellos, every class",
    ]);
    expect(
      scopeOptions(undefined, "", [], [{ code: "flute", plural: "Flutes" }]).map((o) => o.scope),
    ).toEqual([{ instrument: "flute" }]);
  });

  it("lets tutti stand alone", () => {
    expect(toggleScope(["tutti"], "violin")).toEqual(["violin"]);
    expect(toggleScope(["violin", "cello"], "tutti")).toEqual(["tutti"]);
    expect(toggleScope(["violin", "cello"], "cello")).toEqual(["violin"]);
  });
});

describe("what", () => {
  const library = {
    belts: [],
    milestones: [
      {
        id: "1",
        kind: "LINE",
        shortName: "1",
        title: "First light",
        line: { book: "Tideline Method, Winds" },
      },
      { id: "12", kind: "LINE", shortName: "12", title: "Foghorn", line: { book: "Tideline Method, Winds" } },
      { id: "t", kind: "PLAYING_TEST", shortName: "Test 1", title: "Test 1: Lantern on the pier" },
      { id: "h", kind: "TECHNIQUE_CHECK", shortName: "Hold", title: "Horn: slope and bell" },
    ],
  } as unknown as LibraryView;
  const found = (sought: string) => findMilestones(library, sought).map((m) => m.id);

  it("is found by number, name, book or kind", () => {
    expect(found("1")).toEqual(["1", "t"]);
    expect(found("test 1")).toEqual(["t"]);
    expect(found("fog")).toEqual(["12"]);
    expect(found("hold")).toEqual(["h"]);
    expect(found("technique check")).toEqual(["h"]);
    expect(found("winds line 12")).toEqual(["12"]);
    expect(found("")).toHaveLength(4);
    expect(found("kazoo")).toEqual([]);
  });

  it("gets an id of its own for each milestone, so that sending twice orders once", () => {
    let made = 0;
    const rest = {
      setOn: "2026-10-02",
      dueOn: "2026-10-09",
      substituteAccepted: false,
      partnerCheckPasses: false,
    };
    const body = newOrders(["1", "12"], [{ classId: "c1" }], rest, () => `id${++made}`);
    expect(body.milestones).toEqual([
      { milestoneId: "1", orderId: "id1" },
      { milestoneId: "12", orderId: "id2" },
    ]);
    expect(body.dueOn).toBe("2026-10-09");
  });
});
