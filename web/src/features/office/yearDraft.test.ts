import { describe, expect, it } from "vitest";
import type { SchoolYear } from "../../api/types";
import {
  draftOf,
  entryOver,
  following,
  inWeek,
  isIn,
  mondaysOf,
  nextBell,
  periodsOf,
  placeOf,
  requestOf,
  shareOf,
  withProposals,
} from "./yearDraft";

const year: SchoolYear = {
  id: "y",
  name: "2026–2027",
  firstDay: "2026-08-26",
  lastDay: "2027-06-11",
  bells: [],
  rotation: ["A", "B"],
  entries: [{ kind: "BREAK", name: "Winter break", firstDay: "2026-12-21", lastDay: "2027-01-01" }],
};

describe("a school year while it is typed", () => {
  it("comes back as it was read", () => {
    const { name, firstDay, lastDay, rotation, entries, bells } = year;
    expect(requestOf(draftOf(year))).toEqual({ name, firstDay, lastDay, rotation, entries, bells });
  });

  it("takes letters however they are parted", () => {
    expect(requestOf({ ...draftOf(year), letters: " A,B  C " }).rotation).toEqual(["A", "B", "C"]);
    expect(requestOf({ ...draftOf(year), letters: " " }).rotation).toEqual([]);
  });

  it("has a week from the Monday of its first day to that of its last", () => {
    const mondays = mondaysOf(year.firstDay, year.lastDay);
    expect(mondays[0]).toBe("2026-08-24");
    expect(mondays.at(-1)).toBe("2027-06-07");
    expect(mondays).toHaveLength(42);
    expect(mondaysOf("2026-08-26", "2026-08-25")).toEqual([]);
    expect(mondaysOf("2026-08-26", "2029-08-25")).toEqual([]);
    expect(mondaysOf("", "")).toEqual([]);
  });

  it("lays a break over whole weeks and a concert on one day, within the year", () => {
    expect(entryOver("BREAK", "2026-10-12", "2026-10-19", year)).toMatchObject({
      name: "Break",
      firstDay: "2026-10-12",
      lastDay: "2026-10-23",
    });
    expect(entryOver("CONCERT", "2026-12-14", "2026-12-21", year)).toMatchObject({
      firstDay: "2026-12-14",
      lastDay: "2026-12-14",
    });
    expect(entryOver("BREAK", "2026-08-24", "2026-08-24", year).firstDay).toBe("2026-08-26");
    expect(entryOver("TESTING", "2027-06-07", "2027-06-07", year).lastDay).toBe("2027-06-11");
  });

  it("knows what lies in a week", () => {
    const { entries } = draftOf(year);
    expect(inWeek(entries, "2026-12-28")).toHaveLength(1);
    expect(inWeek(entries, "2027-01-04")).toHaveLength(0);
    expect(inWeek(entries, "2026-12-14")).toHaveLength(0);
  });

  it("takes the part of a week that an entry lasts", () => {
    const [winter] = draftOf(year).entries;
    expect(shareOf(winter!, "2026-12-21")).toEqual([0, 5]);
    expect(shareOf({ ...winter!, firstDay: "2026-12-23" }, "2026-12-21")).toEqual([2, 5]);
    expect(shareOf({ ...winter!, lastDay: "2026-12-29" }, "2026-12-28")).toEqual([0, 2]);
    expect(shareOf({ ...winter!, firstDay: "2026-12-27", lastDay: "2026-12-27" }, "2026-12-21")).toEqual([
      4, 5,
    ]);
  });

  it("is followed by a year of the same weekdays, without breaks", () => {
    expect(following(year)).toMatchObject({
      name: "2027–2028",
      firstDay: "2027-08-25",
      lastDay: "2028-06-09",
      letters: "A B",
      entries: [],
    });
  });

  it("finds the row a refusal is about", () => {
    expect(placeOf("entries[12]")).toBe(12);
    expect(placeOf("entries[3].name")).toBe(3);
    expect(placeOf("name")).toBeUndefined();
    expect(placeOf(undefined)).toBeUndefined();
  });

  it("keeps periods only where something takes them, and leaves out a bell without a begin", () => {
    const draft = draftOf({
      ...year,
      entries: [
        { kind: "ASSEMBLY", name: "Assembly", firstDay: "2026-09-09", lastDay: "2026-09-09", periods: [3] },
        { kind: "BREAK", name: "Break", firstDay: "2026-10-12", lastDay: "2026-10-16", periods: [3] },
      ],
      bells: [
        { campus: "", period: 1, startsAt: "08:10", minutes: 45, shortStartsAt: "08:10", shortMinutes: 30 },
      ],
    });
    draft.bells.push(nextBell(draft.bells));
    const sent = requestOf(draft);
    expect(sent.entries.map((entry) => entry.periods)).toEqual([[3], undefined]);
    expect(sent.bells).toEqual([
      { campus: "", period: 1, startsAt: "08:10", minutes: 45, shortStartsAt: "08:10", shortMinutes: 30 },
    ]);
    expect(draft.bells[1]).toMatchObject({ period: "2", minutes: "45", shortMinutes: "30" });
  });

  it("takes those events of a calendar that were chosen, by day", () => {
    const draft = draftOf(year);
    const concert = { name: "Concert", firstDay: "2026-12-16", lastDay: "2026-12-16" };
    expect(isIn(draft.entries, concert)).toBe(false);
    const taken = withProposals(draft.entries, [{ ...concert, kind: "CONCERT" }]);
    expect(taken.map((entry) => entry.name)).toEqual(["Concert", "Winter break"]);
    expect(isIn(taken, concert)).toBe(true);
  });

  it("reads periods as they are typed", () => {
    expect(periodsOf("1, 3 and 12")).toEqual([1, 3, 12]);
    expect(periodsOf("")).toEqual([]);
  });
});
