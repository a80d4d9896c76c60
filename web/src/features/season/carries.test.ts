import { describe, expect, it } from "vitest";
import type { SectionView } from "../../api/types";
import { carriesOf, carryRows, withTyped } from "./carries";
import type { ScopeOption } from "./orderForm";

const sections = [
  {
    instrument: "violin",
    plural: "Violins",
    family: "STRING",
    divisions: [
      { name: "First", students: 4 },
      { name: "Second", students: 4 },
    ],
  },
  { instrument: "cello", plural: "Cellos", family: "STRING", divisions: [] },
  { instrument: "trumpet", plural: "Trumpets", family: "BRASS", divisions: [] },
] as unknown as SectionView[];

const option = (scope: ScopeOption["scope"]): ScopeOption => ({
  key: "k",
  name: "n",
  group: "section",
  scope,
});

describe("what an order carries for each section", () => {
  it("has a row for every section and division reached, in score order", () => {
    const rows = carryRows([option({ classId: "c" })], sections, []);
    expect(rows.map((r) => r.name)).toEqual(["Violins, First", "Violins, Second", "Cellos", "Trumpets"]);
    expect(carryRows([option({ classId: "c", family: "STRING" })], sections, []).map((r) => r.key)).toEqual([
      "violin First",
      "violin Second",
      "cello",
    ]);
    expect(
      carryRows([option({ classId: "c", instrument: "violin", division: "Second" })], sections, []),
    ).toHaveLength(1);
    expect(carryRows([option({ instrument: "trumpet" })], sections, []).map((r) => r.key)).toEqual([
      "trumpet",
    ]);
  });

  it("leaves out sections that cannot take the check", () => {
    expect(carryRows([option({ classId: "c" })], sections, ["cello"]).map((r) => r.key)).toEqual(["cello"]);
  });

  it("sends what was typed and nothing else", () => {
    const rows = carryRows([option({ classId: "c" })], sections, []);
    const typed = withTyped(
      rows,
      new Map([
        ["violin First", { place: " A string " }],
        ["cello", { lineId: "l9" }],
        ["gone", { place: "x" }],
      ]),
    );
    expect(carriesOf(typed)).toEqual([
      {
        instrument: "violin",
        division: "First",
        lineId: undefined,
        place: "A string",
        pattern: "",
        drill: "",
      },
      { instrument: "cello", lineId: "l9", place: "", pattern: "", drill: "" },
    ]);
    expect(carriesOf(rows)).toEqual([]);
  });
});
