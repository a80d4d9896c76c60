import { describe, expect, it } from "vitest";
import type { YearView } from "../api/types";
import { chosenDay, chosenWeek, labelEnds, restsOf, weekIndex } from "./ribbon";

const week = (monday: string, friday: string, schoolDays: number, number?: number) => ({
  monday,
  friday,
  schoolDays,
  number,
});

const year: YearView = {
  first: "2026-11-09",
  last: "2026-12-04",
  today: "2026-11-18",
  weeks: [
    week("2026-11-09", "2026-11-13", 5, 1),
    week("2026-11-16", "2026-11-20", 5, 2),
    week("2026-11-23", "2026-11-27", 0),
    week("2026-11-30", "2026-12-04", 0),
  ],
  entries: [],
};

describe("the week ribbon", () => {
  it("finds the week of a day, the nearest end for days outside the year", () => {
    expect(weekIndex(year, "2026-11-22")).toBe(1);
    expect(weekIndex(year, "2026-08-01")).toBe(0);
    expect(weekIndex(year, "2027-08-01")).toBe(3);
  });

  it("shows today in the present week and the last school day in others", () => {
    expect(chosenDay(year, undefined)).toBe("2026-11-18");
    expect(chosenDay(year, "2026-11-16")).toBe("2026-11-18");
    expect(chosenDay(year, "2026-11-09")).toBe("2026-11-13");
    expect(chosenWeek(year, "2026-11-09").number).toBe(1);
  });

  it("draws breaks that follow one another as one rest", () => {
    expect(restsOf(year)).toEqual([{ from: 2, to: 3 }]);
  });

  it("writes each label beside its flag without running into another or over the edge", () => {
    expect(labelEnds([100, 950], ["Winter concert", "Spring concert"], 1000)).toEqual(["start", "end"]);
    expect(labelEnds([100, 130, 160], ["Festival", "Festival", "Festival"], 1000)).toEqual([
      "start",
      "none",
      "start",
    ]);
    expect(labelEnds([], [], 1000)).toEqual([]);
  });
});
