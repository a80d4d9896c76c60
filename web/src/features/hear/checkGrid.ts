import type { Milestone, Outcome } from "../../api/types";

/** A section against the criteria of a check: what was not seen of whom, and who is away. No mark means fine. */
export interface GridState {
  missed: ReadonlyMap<string, ReadonlySet<number>>;
  absent: ReadonlySet<string>;
  /** The cell the keys act on. */
  row: number;
  column: number;
}

export type GridAction =
  | { type: "toggle"; studentId: string; ordinal: number }
  | { type: "absent"; studentId: string }
  | { type: "at"; row: number; column: number }
  | { type: "move"; rows: number; columns: number; of: { rows: number; columns: number } };

export const emptyGrid: GridState = { missed: new Map(), absent: new Set(), row: 0, column: 0 };

const toggled = <T>(set: ReadonlySet<T>, value: T): ReadonlySet<T> => {
  const next = new Set(set);
  if (!next.delete(value)) next.add(value);
  return next;
};

const clamp = (value: number, count: number) => Math.max(0, Math.min(count - 1, value));

export function gridReducer(state: GridState, action: GridAction): GridState {
  switch (action.type) {
    case "toggle": {
      const missed = new Map(state.missed);
      missed.set(
        action.studentId,
        toggled(missed.get(action.studentId) ?? new Set<number>(), action.ordinal),
      );
      const absent = new Set(state.absent);
      absent.delete(action.studentId);
      return { ...state, missed, absent };
    }
    case "absent": {
      const missed = new Map(state.missed);
      missed.delete(action.studentId);
      return { ...state, missed, absent: toggled(state.absent, action.studentId) };
    }
    case "at":
      return { ...state, row: action.row, column: action.column };
    case "move":
      return {
        ...state,
        row: clamp(state.row + action.rows, action.of.rows),
        column: clamp(state.column + action.columns, action.of.columns),
      };
  }
}

export const isMissed = (state: GridState, studentId: string, ordinal: number) =>
  state.missed.get(studentId)?.has(ordinal) ?? false;

/** What is recorded of a student: away, or seen in every criterion that was not marked. */
export function outcomeOf(state: GridState, studentId: string): Outcome {
  if (state.absent.has(studentId)) return "ABSENT";
  return (state.missed.get(studentId)?.size ?? 0) > 0 ? "NOT_YET" : "PASS";
}

export function marksOf(state: GridState, milestone: Milestone, studentId: string) {
  if (state.absent.has(studentId)) return undefined;
  return milestone.criteria.map(({ ordinal, topPoints }) => ({
    ordinal,
    points: isMissed(state, studentId, ordinal) ? 0 : topPoints,
  }));
}

/** How many of the section missed each criterion, for the foot of the grid. */
export const missedCount = (state: GridState, students: readonly string[], ordinal: number) =>
  students.filter((id) => isMissed(state, id, ordinal)).length;
