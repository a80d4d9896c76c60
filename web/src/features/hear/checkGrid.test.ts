import { describe, expect, it } from "vitest";
import type { Milestone } from "../../api/types";
import {
  countsTries,
  emptyGrid,
  gridColumns,
  gridReducer,
  isMissed,
  marksOf,
  missedCount,
  outcomeOf,
  rowWords,
  triesInRun,
} from "./checkGrid";

const check = {
  criteria: [
    { ordinal: 1, name: "Carries", topPoints: 1, floorPoints: 1 },
    { ordinal: 2, name: "Straight", topPoints: 1 },
  ],
} as unknown as Milestone;
const counted = { ...check, passMark: 1 };
const sound = { ...check, passK: 2, passN: 3 };
const bare = { criteria: [], passK: 4, passN: 5 } as unknown as Milestone;

const toggle = (studentId: string, ordinal: number) => ({ type: "toggle" as const, studentId, ordinal });

describe("the grid of a section against a check", () => {
  it("takes everybody untouched as seen in everything", () => {
    expect(outcomeOf(emptyGrid, check, "ana")).toBe("PASS");
    expect(rowWords(emptyGrid, check, "ana")).toBe("");
    expect(marksOf(emptyGrid, check, "ana")).toEqual([
      { ordinal: 1, points: 1 },
      { ordinal: 2, points: 1 },
    ]);
  });

  it("marks a fault with one tap and takes it back with another", () => {
    const once = gridReducer(emptyGrid, toggle("ana", 2));
    expect(isMissed(once, "ana", 2)).toBe(true);
    expect(outcomeOf(once, check, "ana")).toBe("NOT_YET");
    expect(rowWords(once, check, "ana")).toBe("1 of 2 seen");
    expect(marksOf(once, check, "ana")?.[1]).toEqual({ ordinal: 2, points: 0 });
    expect(missedCount(once, ["ana", "bo"], 2)).toBe(1);
    expect(outcomeOf(gridReducer(once, toggle("ana", 2)), check, "ana")).toBe("PASS");
  });

  it("lets an absent student have no faults, and a fault call an absent student back", () => {
    const away = gridReducer(gridReducer(emptyGrid, toggle("ana", 1)), { type: "absent", studentId: "ana" });
    expect(outcomeOf(away, check, "ana")).toBe("ABSENT");
    expect(rowWords(away, check, "ana")).toBe("absent");
    expect(marksOf(away, check, "ana")).toBeUndefined();
    expect(isMissed(away, "ana", 1)).toBe(false);
    expect(outcomeOf(gridReducer(away, toggle("ana", 1)), check, "ana")).toBe("NOT_YET");
  });

  it("leaves it to the server whether enough criteria were seen", () => {
    const once = gridReducer(emptyGrid, toggle("ana", 2));
    expect(outcomeOf(once, counted, "ana")).toBe("PASS");
    expect(marksOf(once, counted, "ana")?.[1]).toEqual({ ordinal: 2, points: 0 });
  });

  it("marks the whole try where a check has no criteria", () => {
    expect(gridColumns(bare).map((c) => c.name)).toEqual(["This try was not good"]);
    const once = gridReducer(emptyGrid, toggle("ana", 1));
    expect(outcomeOf(once, bare, "ana")).toBe("NOT_YET");
    expect(marksOf(once, bare, "ana")).toBeUndefined();
    expect(rowWords(once, bare, "ana")).toBe("not yet");
    expect(gridColumns(check).map((c) => c.mustSee)).toEqual([true, false]);
  });

  it("goes through the section again where tries are counted", () => {
    expect([countsTries(check), countsTries(sound)]).toEqual([false, true]);
    const marked = gridReducer(gridReducer(emptyGrid, toggle("ana", 1)), { type: "nextTry" });
    expect(marked).toEqual(emptyGrid);
  });

  it("keeps the tries of a run in order, absences left out", () => {
    const evidence = "LIVE_ALONE" as const;
    const made = [
      { attemptId: "1", studentId: "ana", outcome: "NOT_YET" as const, evidence },
      { attemptId: "2", studentId: "bo", outcome: "ABSENT" as const, evidence },
      { attemptId: "3", studentId: "ana", outcome: "PASS" as const, evidence },
    ];
    expect([...triesInRun(made)]).toEqual([["ana", ["NOT_YET", "PASS"]]]);
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
