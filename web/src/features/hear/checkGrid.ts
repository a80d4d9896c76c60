import type { Milestone, Outcome } from "../../api/types";
import type { Press } from "./ahead";

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
  | { type: "move"; rows: number; columns: number; of: { rows: number; columns: number } }
  | { type: "nextTry" };

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
    case "nextTry":
      return emptyGrid;
  }
}

export interface GridColumn {
  ordinal: number;
  name: string;
  mustSee: boolean;
}

/** The columns of a check: its criteria, or the try as a whole where it has none. */
export function gridColumns(milestone: Milestone): readonly GridColumn[] {
  if (milestone.criteria.length === 0) return [{ ordinal: 1, name: "This try was not good", mustSee: false }];
  return milestone.criteria.map(({ ordinal, name, floorPoints }) => ({
    ordinal,
    name,
    mustSee: floorPoints !== undefined,
  }));
}

/** Whether tries are counted, so that a section is gone through several times. */
export const countsTries = (milestone: Milestone) => milestone.passN !== undefined;

export const isMissed = (state: GridState, studentId: string, ordinal: number) =>
  state.missed.get(studentId)?.has(ordinal) ?? false;

/**
 * What is sent of a student: away, or a try that was seen in everything not marked. Where criteria are counted, whether
 * enough were seen is the server's to say.
 */
export function outcomeOf(state: GridState, milestone: Milestone, studentId: string): Outcome {
  if (state.absent.has(studentId)) return "ABSENT";
  const missed = state.missed.get(studentId)?.size ?? 0;
  return missed > 0 && milestone.passMark === undefined ? "NOT_YET" : "PASS";
}

/** What stands beside a name while it is marked; nothing while all is fine. */
export function rowWords(state: GridState, milestone: Milestone, studentId: string): string {
  if (state.absent.has(studentId)) return "absent";
  const missed = state.missed.get(studentId)?.size ?? 0;
  if (missed === 0) return "";
  const of = milestone.criteria.length;
  return of > 1 ? `${of - missed} of ${of} seen` : "not yet";
}

export function marksOf(state: GridState, milestone: Milestone, studentId: string) {
  if (state.absent.has(studentId) || milestone.criteria.length === 0) return undefined;
  return milestone.criteria.map(({ ordinal, topPoints }) => ({
    ordinal,
    points: isMissed(state, studentId, ordinal) ? 0 : topPoints,
  }));
}

/** How many of the section missed each criterion, for the foot of the grid. */
export const missedCount = (state: GridState, students: readonly string[], ordinal: number) =>
  students.filter((id) => isMissed(state, id, ordinal)).length;

/** The tries of each student in this run, oldest first; absences left out. */
export function triesInRun(made: readonly Press[]): ReadonlyMap<string, readonly Outcome[]> {
  const tries = new Map<string, Outcome[]>();
  for (const { studentId, outcome } of made) {
    if (outcome === "PASS" || outcome === "NOT_YET") {
      tries.set(studentId, [...(tries.get(studentId) ?? []), outcome]);
    }
  }
  return tries;
}
