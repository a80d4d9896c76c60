import { describe, expect, it } from "vitest";
import type { Partner, PartnerCheck } from "../../api/types";
import { findingNote, measuresOf, notedCount, partOf, swapped } from "./partners";

const partner = (studentId: string, division = ""): Partner => ({
  studentId,
  name: studentId.toUpperCase(),
  instrument: "violin",
  instrumentName: "Violin",
  division,
});
const [a, b, c, d, e] = ["a", "b", "c", "d", "e"].map((id) => partner(id)) as [
  Partner,
  Partner,
  Partner,
  Partner,
  Partner,
];

describe("partners", () => {
  it("lets two students change places, also within a group", () => {
    const groups = [
      [a, b],
      [c, d, e],
    ];
    expect(swapped(groups, "a", "e").map((g) => g.map((p) => p.studentId))).toEqual([
      ["e", "b"],
      ["c", "d", "a"],
    ]);
    expect(swapped(groups, "a", "b")[0]!.map((p) => p.studentId)).toEqual(["b", "a"]);
    expect(swapped(groups, "a", "nobody")).toEqual(groups);
  });

  it("sends measures where both ends were typed", () => {
    expect(
      measuresOf(
        new Map([
          ["violin/First", { first: "1", last: "4" }],
          ["cello/", { first: "5", last: "" }],
        ]),
      ),
    ).toEqual([{ instrument: "violin", division: "First", first: 1, last: 4 }]);
  });

  it("says who watched and what was not seen", () => {
    expect(findingNote([b], [])).toBe("Watched by B");
    expect(findingNote([b, c], ["Thumb bent", "Straight path"])).toBe(
      "Watched by B and C; not seen: Thumb bent, Straight path",
    );
  });

  it("counts turns noted here or before", () => {
    const check = {
      groups: [
        {
          turns: [
            { plays: a, watch: [b], found: "PASS" },
            { plays: b, watch: [a] },
          ],
        },
      ],
    } as unknown as PartnerCheck;
    expect(notedCount(check, new Set())).toEqual({ done: 1, of: 2 });
    expect(notedCount(check, new Set(["b"]))).toEqual({ done: 2, of: 2 });
  });

  it("names a part with its division", () => {
    expect(partOf(a)).toBe("Violin");
    expect(partOf(partner("x", "First"))).toBe("Violin, First");
  });
});
