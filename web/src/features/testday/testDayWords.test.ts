import { describe, expect, it } from "vitest";
import type { TestDay } from "../../api/types";
import { dayWords, endWords, makeUpReason, nextToHear, soonerWords, tiedWith } from "./testDayWords";

const student = (name: string) => ({ studentId: name, name, instrumentName: "Flute" });
const period = (id: string, on: string, today: boolean, ...names: string[]): TestDay["periods"][number] => ({
  id,
  classId: "c1",
  className: "Concert Winds",
  on,
  period: 5,
  beginsAt: "11:53",
  today,
  periodMinutes: 44,
  minutes: 20,
  usedSeconds: 300,
  slots: names.map((name) => ({ at: "11:53", seconds: 150, students: [student(name)] })),
});
const day: TestDay = {
  milestoneId: "t",
  kind: "PLAYING_TEST",
  title: "Test 2",
  takes: { playing: 71, word: 15, changeover: 12, planned: 98, learnt: 98, learntFrom: 0 },
  periods: [period("a", "2026-11-06", true, "Odile", "Ezra"), period("b", "2026-11-10", false, "Sunniva")],
  heard: [],
  makeUp: [],
  bound: 2,
  proven: true,
};

describe("a test day in words", () => {
  it("says how many and when it ends", () => {
    expect(dayWords(day)).toBe("3 students in 2 periods");
    const absent = { ...student("Jun"), because: "ABSENT" as const };
    expect(dayWords({ ...day, makeUp: [absent] })).toBe("3 students in 2 periods and a make-up slot");
    expect(dayWords({ ...day, periods: [] })).toBe("everybody is heard");
    expect(endWords(day)).toMatch(/^Ends Tue.*, period 5; it cannot end earlier\.$/);
    expect(endWords({ ...day, proven: false })).toContain("not every way was tried");
    expect(endWords({ ...day, periods: [] })).toBe("");
  });

  it("says what hearing them together brings", () => {
    expect(soonerWords(day)).toBe("");
    expect(soonerWords({ ...day, sooner: { together: 2, periods: 1 } })).toBe("In pairs it takes 1 period.");
    expect(soonerWords({ ...day, makeUp: [student("Jun")], sooner: { together: 3, periods: 2 } })).toBe(
      "In groups of 3 it takes 2 periods and leaves fewer without room.",
    );
  });

  it("says why somebody waits, and who is next", () => {
    expect(makeUpReason("ABSENT")).toBe("absent today");
    expect(makeUpReason(undefined)).toBe("no room in the coming weeks");
    expect(nextToHear(day)?.students[0]?.name).toBe("Odile");
    expect(nextToHear({ ...day, periods: day.periods.slice(1) })).toBeUndefined();
  });

  it("puts a student into a period by hand, and back to the plan", () => {
    const tied = tiedWith({ bo: "1" }, "ana", "2");
    expect(tied).toEqual({ bo: "1", ana: "2" });
    expect(tiedWith(tied, "ana", "")).toEqual({ bo: "1" });
  });
});
