import { describe, expect, it } from "vitest";
import type { MilestoneKind, Order, SectionView, WeekView } from "../../api/types";
import { blocksOf, rowsOf, runsOf, weeksAround } from "./score";

const sections = [
  { instrument: "flute", family: "WOODWIND" },
  { instrument: "clarinet", family: "WOODWIND" },
  { instrument: "trumpet", family: "BRASS" },
] as unknown as SectionView[];

const week: WeekView = { number: 7, monday: "2026-09-28", friday: "2026-10-02", schoolDays: 5 };
const milestones = new Map([
  ["l", { kind: "LINE" as MilestoneKind, shortName: "9", title: "Rope and pulley" }],
  ["c", { kind: "TECHNIQUE_CHECK" as MilestoneKind, shortName: "Roll", title: "Clarinet: roll" }],
]);

const order = (id: string, milestoneId: string, dueOn: string, ...scopes: Order["scopes"]): Order => ({
  id,
  milestoneId,
  setOn: "2026-09-28",
  dueOn,
  substituteAccepted: false,
  partnerCheckPasses: false,
  carries: [],
  scopes,
});

const blocks = (...orders: Order[]) => blocksOf(week, "2026-10-05", orders, milestones, sections, "winds");

describe("the season as a score", () => {
  it("covers the rows of a scope, all of them for tutti and none for another class", () => {
    expect(rowsOf({ classId: "winds" }, sections, "winds")).toBeUndefined();
    expect(rowsOf({ classId: "winds", family: "WOODWIND" }, sections, "winds")).toEqual([0, 1]);
    expect(rowsOf({ classId: "winds", instrument: "trumpet" }, sections, "winds")).toEqual([2]);
    expect(rowsOf({ instrument: "clarinet" }, sections, "winds")).toEqual([1]);
    expect(rowsOf({ classId: "jazz" }, sections, "winds")).toEqual([]);
  });

  it("puts an order into the week it is due, tutti as a bar and parts into their rows", () => {
    const { tutti, parts } = blocks(
      order("1", "l", "2026-10-02", { classId: "winds" }),
      order("2", "c", "2026-10-02", { classId: "winds", instrument: "clarinet" }),
      order("3", "l", "2026-10-05", { classId: "winds" }),
      order("4", "l", "2026-09-27", { classId: "winds" }),
      order("5", "l", "2026-10-02", { classId: "jazz" }),
      order("6", "gone", "2026-10-02", { classId: "winds" }),
    );
    expect(tutti.map((b) => b.order.id)).toEqual(["1"]);
    expect(parts.map((b) => [b.order.id, b.rows, b.lane])).toEqual([["2", [1], 0]]);
  });

  it("packs blocks of one row into lanes so that none covers another", () => {
    const { parts } = blocks(
      order("1", "c", "2026-10-02", { classId: "winds", instrument: "clarinet" }),
      order("2", "c", "2026-10-01", { classId: "winds", family: "WOODWIND" }),
      order("3", "c", "2026-10-01", { classId: "winds", instrument: "trumpet" }),
    );
    expect(parts.map((b) => b.lane)).toEqual([0, 1, 0]);
  });

  it("joins neighbouring rows into runs", () => {
    expect(runsOf([0, 1, 3])).toEqual([
      [0, 1],
      [3, 3],
    ]);
    expect(runsOf([])).toEqual([]);
  });

  it("shows the weeks around the one looked at, within the year", () => {
    const weeks = Array.from({ length: 10 }, (_, i) => ({ ...week, number: i }));
    expect(weeksAround(weeks, 5, 4).map((w) => w.number)).toEqual([3, 4, 5, 6]);
    expect(weeksAround(weeks, 0, 4).map((w) => w.number)).toEqual([0, 1, 2, 3]);
    expect(weeksAround(weeks, 9, 4).map((w) => w.number)).toEqual([6, 7, 8, 9]);
    expect(weeksAround(weeks.slice(0, 2), 1, 4)).toHaveLength(2);
  });
});
