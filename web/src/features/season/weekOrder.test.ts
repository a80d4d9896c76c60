import { describe, expect, it } from "vitest";
import type { SeasonPlan } from "../../api/types";
import { ofWeek, weekToOrder } from "./weekOrder";

const item = (id: string, monday: string, more: object = {}) => ({
  id,
  monday,
  chosen: true,
  hold: "FREE",
  milestoneId: id,
  reach: [{ classId: "winds", instruments: [] }],
  ...more,
});

const plan = {
  firstFree: "2026-11-02",
  weeks: [
    { monday: "2026-10-26", closed: false },
    { monday: "2026-11-02", closed: false },
    { monday: "2026-11-09", closed: false },
    { monday: "2026-11-23", closed: true },
  ],
  items: [
    item("late", "2026-10-26"),
    item("a", "2026-11-09"),
    item("b", "2026-11-09", { hold: "ORDERED" }),
    item("c", "2026-11-09", { milestoneId: undefined }),
    item("d", "2026-11-09", { reach: [{ classId: "jazz", instruments: [] }] }),
  ],
} as unknown as SeasonPlan;

describe("a week of the plan", () => {
  it("is the one looked at, else the first with something that may still be changed", () => {
    expect(weekToOrder(plan, "2026-11-02")).toBe("2026-11-02");
    expect(weekToOrder(plan, "2026-10-26")).toBe("2026-11-09");
    expect(weekToOrder(plan, "2026-11-23")).toBe("2026-11-09");
    expect(weekToOrder({ ...plan, items: [] }, undefined)).toBe("2026-11-02");
  });

  it("tells what is to be ordered from what is and what nobody orders", () => {
    const { open, ordered, aside } = ofWeek(plan, "winds", "2026-11-09");
    expect([open, ordered, aside].map((all) => all.map((i) => i.id))).toEqual([["a"], ["b"], ["c"]]);
  });
});
