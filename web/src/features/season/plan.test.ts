import { describe, expect, it } from "vitest";
import type { PlanClass, PlanItem, SeasonPlan } from "../../api/types";
import {
  apart,
  isMovable,
  moveTo,
  newNotesIn,
  noTrail,
  pinTo,
  redone,
  runsOf,
  shifted,
  standing,
  stepped,
  toggled,
  undone,
  weekBeside,
  weeksShown,
  withMoves,
} from "./plan";

const winds = {
  id: "winds",
  sections: [{ instrument: "flute" }, { instrument: "clarinet" }, { instrument: "horn" }],
} as unknown as PlanClass;

const item = (id: string, monday?: string, instruments: string[] = [], more: Partial<PlanItem> = {}) =>
  ({
    id,
    kind: "LINE",
    monday,
    hold: "FREE",
    chosen: true,
    newNotes: [],
    reach: [{ classId: "winds", instruments }],
    ...more,
  }) as unknown as PlanItem;

const mondays = ["2026-11-02", "2026-11-09", "2026-11-16", "2026-11-23", "2026-11-30"];
const plan = (...items: PlanItem[]) =>
  ({
    revision: 3,
    weeks: mondays.map((monday) => ({ monday, closed: monday === "2026-11-23" })),
    items,
  }) as unknown as SeasonPlan;

describe("what stands in a week", () => {
  it("is a bar for everybody and blocks in lanes for some", () => {
    const { tutti, parts } = standing(
      [
        item("a", "2026-11-02"),
        item("b", "2026-11-02", ["flute", "horn"]),
        item("c", "2026-11-02", ["horn"]),
        item("d", "2026-11-09"),
        item("e", "2026-11-02", [], { reach: [{ classId: "jazz", instruments: [] }] }),
      ],
      winds,
      "2026-11-02",
    );
    expect(tutti.map((p) => p.item.id)).toEqual(["a"]);
    expect(parts.map((p) => [p.item.id, p.rows, p.lane])).toEqual([
      ["b", [0, 2], 0],
      ["c", [2], 1],
    ]);
  });

  it("writes new notes in the row that meets them, without octaves", () => {
    const line = item("a", "2026-11-02", [], {
      newNotes: [
        { classId: "winds", instrument: "clarinet", notes: ["F-sharp 4", "F-sharp 5", "B-flat 3"] },
        { classId: "jazz", instrument: "clarinet", notes: ["G4"] },
      ],
    });
    expect(newNotesIn(line, winds)).toEqual([{ row: 1, notes: "F♯ B♭" }]);
  });

  it("moves only what was chosen and is not ordered", () => {
    expect(isMovable(item("a"))).toBe(true);
    expect(isMovable(item("a", undefined, [], { hold: "ORDERED" }))).toBe(false);
    expect(isMovable(item("a", undefined, [], { chosen: false }))).toBe(false);
  });
});

describe("rows", () => {
  it("run together where they are neighbours", () => {
    expect(runsOf([0, 1, 3])).toEqual([
      [0, 1],
      [3, 3],
    ]);
    expect(runsOf([])).toEqual([]);
  });
});

describe("moving", () => {
  it("keeps the distance of several in teaching weeks", () => {
    const year = plan(item("a", "2026-11-02"), item("b", "2026-11-09"));
    const step = moveTo(year, ["a", "b"], "2026-11-16", "moved");
    expect(step.forth.map((m) => m.monday)).toEqual(["2026-11-16", "2026-11-30"]);
    expect(step.back.map((m) => m.monday)).toEqual(["2026-11-02", "2026-11-09"]);
    expect(apart(year, "2026-11-16", "2026-11-30")).toBe(1);
    expect(shifted(year, "2026-11-30", 1)).toBeUndefined();
  });

  it("shows at once where things will be", () => {
    const year = plan(item("a", "2026-11-02", [], { broken: "No." }));
    const after = withMoves(year, moveTo(year, ["a"], "2026-11-09", "").forth);
    expect(after.items[0]).toMatchObject({ monday: "2026-11-09", hold: "FREE", broken: undefined });
    expect(withMoves(year, pinTo(year, ["a"], true).forth).items[0]?.hold).toBe("PINNED");
    expect(moveTo(year, ["a"], undefined, "").forth[0]?.monday).toBeUndefined();
  });

  it("is undone and done again in its order", () => {
    const one = { words: "one", back: [], forth: [] };
    const two = { words: "two", back: [], forth: [] };
    const both = stepped(stepped(noTrail, one), two);
    expect(undone(both)).toEqual({ undo: [one], redo: [two] });
    expect(undone(undone(both)).redo).toEqual([two, one]);
    expect(redone(undone(undone(both)))).toEqual({ undo: [one], redo: [two] });
    expect(stepped(undone(both), two).redo).toEqual([]);
  });

  it("chooses one, more or none", () => {
    expect(toggled([], "a", false)).toEqual(["a"]);
    expect(toggled(["a"], "a", false)).toEqual([]);
    expect(toggled(["a"], "b", true)).toEqual(["a", "b"]);
    expect(toggled(["a", "b"], "a", true)).toEqual(["b"]);
  });

  it("steps over breaks and stops at the ends of the year", () => {
    expect(weekBeside(plan(), "2026-11-16", 1)).toBe("2026-11-30");
    expect(weekBeside(plan(), "2026-11-30", -1)).toBe("2026-11-16");
    expect(weekBeside(plan(), "2026-11-30", 1)).toBe("2026-11-30");
    expect(weeksShown(plan(), "2026-11-30", 3).map((w) => w.monday)).toEqual(mondays.slice(2));
  });
});
