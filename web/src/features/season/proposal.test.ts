import { describe, expect, it } from "vitest";
import type { PlanProposal, SeasonPlan } from "../../api/types";
import { drawn, firstWeek, headline, minutesAfter } from "./proposal";

const plan = {
  firstFree: "2026-11-02",
  items: [
    { id: "a", monday: "2026-11-02", newNotes: [{}] },
    { id: "b" },
    { id: "c", monday: "2026-11-09", newNotes: [] },
    { id: "d", monday: "2026-11-09", newNotes: [] },
  ],
} as unknown as SeasonPlan;

const proposal = {
  changes: [
    { itemId: "a", from: "2026-11-02", to: "2026-11-09" },
    { itemId: "b", to: "2026-11-16" },
    { itemId: "c", from: "2026-11-09" },
  ],
  minutes: [{ classId: "winds", monday: "2026-11-09", there: 60, before: 40, after: 55 }],
} as unknown as PlanProposal;

describe("a proposal", () => {
  it("draws what moves at its new week and as a ghost at its old one", () => {
    const { items, changed } = drawn(plan, proposal);
    expect(items.filter((i) => i.id === "a").map((i) => [i.monday, i.newNotes.length])).toEqual([
      ["2026-11-09", 1],
      ["2026-11-02", 0],
    ]);
    expect(changed.get("2026-11-09")).toEqual(
      new Map([
        ["a", "here"],
        ["c", "gone"],
      ]),
    );
    expect(changed.get("2026-11-16")?.get("b")).toBe("here");
    expect(items.filter((i) => i.id === "d")).toHaveLength(1);
  });

  it("says in a line what changes", () => {
    expect(headline(proposal)).toBe("1 move, 1 thing comes in, 1 left out");
    expect(headline({ ...proposal, changes: [] })).toBe("Nothing changes");
  });

  it("knows the minutes after it and the week to begin with", () => {
    expect(minutesAfter(proposal).get("winds 2026-11-09")).toBe(55);
    expect(firstWeek(plan, proposal)).toBe("2026-11-02");
    expect(firstWeek(plan, { ...proposal, changes: [] })).toBe("2026-11-02");
  });
});
