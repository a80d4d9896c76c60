import { describe, expect, it } from "vitest";
import type { GradeSettings } from "../../api/types";
import { kindWords, periodOn, toSend } from "./grades";

const periods = [
  { id: "a", name: "Autumn", first: "2026-08-24", last: "2026-11-20" },
  { id: "w", name: "Winter", first: "2026-11-30", last: "2027-03-01" },
];

describe("marking periods", () => {
  it("are found by the day, in a gap the one before", () => {
    expect(periodOn(periods, "2026-09-01")).toBe("a");
    expect(periodOn(periods, "2026-11-25")).toBe("a");
    expect(periodOn(periods, "2026-12-01")).toBe("w");
    expect(periodOn(periods, "2026-01-01")).toBe("a");
    expect(periodOn([], "2026-01-01")).toBeUndefined();
  });
});

describe("a grade", () => {
  it("says how a kind came into it", () => {
    expect(kindWords({ kind: "PLAYING_TEST", items: 2, percent: 82.5, weight: 3, partPercent: 75 })).toBe(
      "tests: 82.5 % of 2, weighs 75 %",
    );
  });

  it("is sent with what its scale needs and no more", () => {
    const settings: GradeSettings = {
      weights: { LINE: 1 },
      notYetPercent: 50,
      unheard: "LEFT_OUT",
      scale: "PERCENT",
      mostPoints: 20,
      steps: [{ fromPercent: 0, words: "1" }],
      bothClasses: true,
    };
    expect(toSend(settings)).toMatchObject({ mostPoints: undefined, steps: [] });
    expect(toSend({ ...settings, scale: "STEPS" }).steps).toHaveLength(1);
    expect(toSend({ ...settings, scale: "POINTS" }).mostPoints).toBe(20);
  });
});
