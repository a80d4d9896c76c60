import { describe, expect, it } from "vitest";
import type { Milestone } from "../../api/types";
import { emptyGrid, gridReducer, isMissed, marksOf, missedCount, outcomeOf } from "./checkGrid";

const check = {
  criteria: [
    { ordinal: 1, name: "Carries", topPoints: 1 },
    { ordinal: 2, name: "Straight", topPoints: 1 },
  ],
} as unknown as Milestone;

const toggle = (studentId: string, ordinal: number) => ({ type: "toggle" as const, studentId, ordinal });

describe("the grid of a section against a check", () => {
  it("takes everybody untouched as seen in everything", () => {
    expect(outcomeOf(emptyGrid, "ana")).toBe("PASS");
    expect(marksOf(emptyGrid, check, "ana")).toEqual([
      { ordinal: 1, points: 1 },
      { ordinal: 2, points: 1 },
    ]);
  });

  it("marks a fault with one tap and takes it back with another", () => {
    const once = gridReducer(emptyGrid, toggle("ana", 2));
    expect(isMissed(once, "ana", 2)).toBe(true);
    expect(outcomeOf(once, "ana")).toBe("NOT_YET");
    expect(marksOf(once, check, "ana")?.[1]).toEqual({ ordinal: 2, points: 0 });
    expect(missedCount(once, ["ana", "bo"], 2)).toBe(1);
    expect(outcomeOf(gridReducer(once, toggle("ana", 2)), "ana")).toBe("PASS");
  });

  it("lets an absent student have no faults, and a fault call an absent student back", () => {
    const away = gridReducer(gridReducer(emptyGrid, toggle("ana", 1)), { type: "absent", studentId: "ana" });
    expect(outcomeOf(away, "ana")).toBe("ABSENT");
    expect(marksOf(away, check, "ana")).toBeUndefined();
    expect(isMissed(away, "ana", 1)).toBe(false);
    expect(outcomeOf(gridReducer(away, toggle("ana", 1)), "ana")).toBe("NOT_YET");
  });

  it("moves by keys and stays inside", () => {
    const of = { rows: 2, columns: 2 };
    const moved = gridReducer(emptyGrid, { type: "move", rows: 1, columns: 5, of });
    expect([moved.row, moved.column]).toEqual([1, 1]);
    const back = gridReducer(moved, { type: "move", rows: -9, columns: -1, of });
    expect([back.row, back.column]).toEqual([0, 0]);
    expect(gridReducer(emptyGrid, { type: "at", row: 1, column: 0 }).row).toBe(1);
  });
});
