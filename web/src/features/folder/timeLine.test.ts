import { describe, expect, it } from "vitest";
import type { Folder, MeasuredOfStudent, WeekView } from "../../api/types";
import { bandsOf, curveOf, marksOf, placeOf, tallest, weekAt } from "./timeLine";

const weeks: WeekView[] = ["2026-09-07", "2026-09-14", "2026-09-21"].map((monday, i) => ({
  monday,
  friday: monday,
  number: i + 1,
  schoolDays: 5,
}));

const heard = (on: string, name: string, outcome: "PASS" | "NOT_YET" | "EXCUSED", passes = false) => ({
  on,
  kind: "LINE" as const,
  name,
  outcome,
  passes,
});

describe("a student's year", () => {
  it("puts a day into its week, and what lies outside at its edge", () => {
    expect(weekAt(weeks, "2026-09-07")).toBe(0);
    expect(weekAt(weeks, "2026-09-13")).toBe(0);
    expect(weekAt(weeks, "2026-09-14")).toBe(1);
    expect(weekAt(weeks, "2026-08-01")).toBe(0);
    expect(weekAt(weeks, "2026-12-01")).toBe(2);
    expect(placeOf(weeks, "2026-09-14")).toBe(1);
  });

  it("shows one mark a week for each thing, with the tries of that week", () => {
    const marks = marksOf(
      weeks,
      [
        heard("2026-09-07", "3", "NOT_YET"),
        heard("2026-09-08", "3", "NOT_YET"),
        heard("2026-09-09", "4", "EXCUSED"),
        heard("2026-09-15", "3", "PASS", true),
        heard("2026-09-16", "3", "NOT_YET"),
      ],
      "LINE",
    );
    expect(marks.map(({ week, name, state, tries, place }) => [week, name, state, tries, place])).toEqual([
      [0, "3", "TRIED", 2, 0],
      [0, "4", "EXCUSED", 0, 1],
      [1, "3", "PASSED", 2, 0],
    ]);
    expect(tallest(marks)).toBe(2);
    expect(marksOf(weeks, [], "LINE")).toEqual([]);
  });

  it("draws each instrument from its first seat to its last", () => {
    const seats = [
      { instrumentName: "Horn", startsOn: "2026-09-14" },
      { instrumentName: "Trumpet", startsOn: "2026-09-07", endsOn: "2026-09-11" },
      { instrumentName: "Trumpet", startsOn: "2026-09-07", endsOn: "2026-09-13" },
    ] as Folder["seats"];
    expect(bandsOf(weeks, seats, "2026-09-21").map(({ name, from, to }) => [name, from, to])).toEqual([
      ["Trumpet", 0, 6 / 7],
      ["Horn", 1, 2],
    ]);
  });

  it("draws what was measured most often, from two times on", () => {
    const of = (...values: number[]) =>
      ({
        name: "Longest tone",
        unit: "s",
        taken: values.map((value, i) => ({ on: weeks[i]!.monday, value })),
      }) as unknown as MeasuredOfStudent;
    expect(curveOf(weeks, [of(5)])).toBeUndefined();
    expect(curveOf(weeks, [of(5), of(4, 8)])).toEqual({
      name: "longest tone",
      last: "8 s",
      points: [
        { at: 0, height: 0.5 },
        { at: 1, height: 1 },
      ],
    });
  });
});
