import { describe, expect, it } from "vitest";
import { changed, excerptOf, levelsFor, moved, newCriterion, numberOf, toSend, without } from "./testDraft";
import type { TestDraft } from "../../api/types";

describe("a draft of a test", () => {
  it("is changed without touching what was there", () => {
    const list = [{ name: "a" }, { name: "b" }];
    expect(changed(list, 1, { name: "c" })).toEqual([{ name: "a" }, { name: "c" }]);
    expect(without(list, 0)).toEqual([{ name: "b" }]);
    expect(moved(list, 0, 1).map((one) => one.name)).toEqual(["b", "a"]);
    expect(moved(list, 0, -1)).toEqual(list);
    expect(list).toEqual([{ name: "a" }, { name: "b" }]);
  });

  it("reads an excerpt from what was typed", () => {
    expect(excerptOf(undefined, undefined, true)).toBeUndefined();
    expect(excerptOf(3, undefined, false)).toEqual({ from: 3, to: 3, repeats: false });
    expect(excerptOf(3, 5, true)).toEqual({ from: 3, to: 5, repeats: true });
    expect(numberOf(" ")).toBeUndefined();
    expect(numberOf("x")).toBeUndefined();
    expect(numberOf("0")).toBe(0);
  });

  it("keeps words of levels when points are added, and sends none where none are written", () => {
    const worded = { ...newCriterion(), topPoints: 1, levels: ["airy", "full"] };
    expect(levelsFor(worded, 2)).toEqual(["airy", "full", ""]);
    expect(levelsFor(newCriterion(), 2)).toEqual([]);
    const draft = {
      rubric: { name: "r", mark: 1, criteria: [{ ...worded, levels: ["", " "] }, worded] },
    } as unknown as TestDraft;
    expect(toSend(draft).rubric.criteria.map((criterion) => criterion.levels)).toEqual([
      [],
      ["airy", "full"],
    ]);
  });
});
