import { describe, expect, it } from "vitest";
import { jumpScore, jumpValue } from "./jumpScore";

const best = (typed: string, values: string[]) =>
  values.toSorted((a, b) => jumpScore(b, typed) - jumpScore(a, typed))[0];

describe("the jump box", () => {
  it("finds words by their beginnings, in any order", () => {
    expect(jumpScore("Sunniva Drake", "sun")).toBeGreaterThan(0);
    expect(jumpScore("Sunniva Drake", "dra sun")).toBeGreaterThan(0);
    expect(jumpScore("Sunniva Drake", "unni")).toBe(0);
    expect(jumpScore("Sunniva Drake", "sun fenn")).toBe(0);
  });

  it("never looks into ids", () => {
    expect(jumpScore(jumpValue("Gwenno Kilbrannan", "01a2-week-3"), "week 3")).toBe(0);
  });

  it("prefers whole words, and words at the front", () => {
    expect(
      best("week 3", ["week 31 15–19 March", "week 3 31 Aug – 4 Sept", "week 13 9–13 November"]),
    ).toContain("week 3 ");
    expect(best("line 1", ["line 12 Foghorn", "line 1 First light"])).toContain("line 1 ");
    expect(best("tern", ["line 12 Tern and turn", "Tern Osei"])).toBe("Tern Osei");
  });

  it("forgives missing accents and finds everything when nothing is typed", () => {
    expect(jumpScore("Zoë Marsh", "zoe")).toBeGreaterThan(0);
    expect(jumpScore("Zoë Marsh", "  ")).toBe(1);
  });
});
