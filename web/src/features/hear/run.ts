import type { Milestone, Outcome, Player, Run } from "../../api/types";
import type { Press } from "./ahead";

export interface RunState {
  /** Students still to hear, the one being heard first. */
  queue: readonly string[];
  /** Marks made in this run, newest last. */
  made: readonly Press[];
  /** Whom somebody else has heard since this run began, so that they are not called here. */
  elsewhere: readonly string[];
  /** Points given so far to the student being heard, by criterion; a check starts with every criterion seen. */
  marks: ReadonlyMap<number, number>;
  /** Asking why the student is excused. */
  excusing: boolean;
}

export type RunAction =
  | { type: "start"; run: Run }
  | { type: "record"; press: Press; stays?: boolean }
  | { type: "leave"; attemptId: string; studentId: string }
  | { type: "away"; studentId: string; away: boolean }
  /** These are called from now on, in this order. */
  | { type: "call"; studentIds: readonly string[] }
  /** Somebody else heard these, who need not be called here any more. */
  | { type: "heardElsewhere"; studentIds: readonly string[] }
  | { type: "undo" }
  | { type: "choose"; studentId: string }
  | { type: "move"; step: 1 | -1 }
  | { type: "mark"; ordinal: number; points: number }
  | { type: "excuse"; asking: boolean };

export const emptyRun: RunState = { queue: [], made: [], elsewhere: [], marks: new Map(), excusing: false };

const fresh = { marks: new Map<number, number>(), excusing: false };

export function runReducer(state: RunState, action: RunAction): RunState {
  switch (action.type) {
    case "start": {
      const done = new Set(state.made.map((made) => made.studentId));
      return { ...state, ...fresh, queue: action.run.queue.filter((id) => !done.has(id)) };
    }
    case "record":
      return {
        ...state,
        ...fresh,
        queue: action.stays ? state.queue : state.queue.filter((id) => id !== action.press.studentId),
        made: [...state.made, action.press],
      };
    case "leave":
      // The answer may come after the mark was undone: then the student is to be heard again and stays.
      if (!state.made.some((made) => made.attemptId === action.attemptId)) return state;
      return { ...state, queue: state.queue.filter((id) => id !== action.studentId) };
    case "away":
      if (!action.away) {
        return state.queue.includes(action.studentId)
          ? state
          : { ...state, queue: [...state.queue, action.studentId] };
      }
      return {
        ...state,
        ...(state.queue[0] === action.studentId ? fresh : {}),
        queue: state.queue.filter((id) => id !== action.studentId),
      };
    case "call":
      return {
        ...state,
        ...(state.queue[0] === action.studentIds[0] ? {} : fresh),
        queue: action.studentIds,
      };
    case "heardElsewhere": {
      // Who is being heard stays until the listener has decided.
      const [atDesk, ...others] = state.queue;
      if (!atDesk) return state;
      const heard = others.filter((id) => action.studentIds.includes(id));
      return {
        ...state,
        queue: [atDesk, ...others.filter((id) => !heard.includes(id))],
        elsewhere: [...state.elsewhere, ...heard],
      };
    }
    case "undo": {
      const last = state.made.at(-1);
      if (!last) return state;
      return {
        ...state,
        ...fresh,
        queue: [last.studentId, ...state.queue.filter((id) => id !== last.studentId)],
        made: state.made.slice(0, -1),
      };
    }
    case "choose":
      return {
        ...state,
        ...fresh,
        queue: [action.studentId, ...state.queue.filter((id) => id !== action.studentId)],
      };
    case "move": {
      if (state.queue.length < 2) return state;
      const queue =
        action.step > 0
          ? [...state.queue.slice(1), state.queue[0]!]
          : [state.queue.at(-1)!, ...state.queue.slice(0, -1)];
      return { ...state, ...fresh, queue };
    }
    case "mark": {
      const marks = new Map(state.marks);
      marks.set(action.ordinal, action.points);
      return { ...state, marks };
    }
    case "excuse":
      return { ...state, excusing: action.asking };
  }
}

/** How a milestone is marked: by ear alone, criteria seen or not, or points for each criterion. */
export type Marking = "ear" | "seen" | "points";

export function markingOf(milestone: Milestone): Marking {
  if (milestone.criteria.length === 0) return "ear";
  return isScored(milestone) ? "points" : "seen";
}

/** Whether points are given, and decide what came of it. */
export const isScored = (milestone: Milestone) =>
  milestone.kind === "PLAYING_TEST" || milestone.kind === "WRITTEN_CHECK";

/** The criterion the next digit of a test goes to: the first without points. */
export function nextCriterion(milestone: Milestone, marks: ReadonlyMap<number, number>): number | undefined {
  return milestone.criteria.find((criterion) => !marks.has(criterion.ordinal))?.ordinal;
}

/**
 * What is sent for the criteria: a check's untouched criteria count as seen, a test needs them all. A check that was not
 * yet good, and nobody said in what, is sent as that alone.
 */
export function marksToSend(milestone: Milestone, marks: ReadonlyMap<number, number>, outcome: Outcome) {
  if (markingOf(milestone) === "ear" || (outcome !== "PASS" && outcome !== "NOT_YET")) return undefined;
  if (markingOf(milestone) === "seen" && outcome === "NOT_YET" && marks.size === 0) return undefined;
  return milestone.criteria
    .filter((criterion) => marks.has(criterion.ordinal) || !isScored(milestone))
    .map(({ ordinal, topPoints }) => ({ ordinal, points: marks.get(ordinal) ?? topPoints }));
}

/** Whether the points given decide what came of a try, and not the key that was pressed. */
export const isCounted = (
  milestone: Milestone,
  marks: readonly { ordinal: number; points: number }[] | undefined,
  outcome: Outcome,
) =>
  marks !== undefined &&
  (outcome !== "PASS" ||
    isScored(milestone) ||
    marks.some(
      (mark) => mark.points < (milestone.criteria.find((c) => c.ordinal === mark.ordinal)?.topPoints ?? 0),
    ));

/** What the points given come to, in the units in which the server says what a point is worth. */
const unitsSoFar = (milestone: Milestone, marks: ReadonlyMap<number, number>) =>
  milestone.criteria.reduce((sum, c) => sum + c.worth * (marks.get(c.ordinal) ?? 0), 0);

/** Points so far in tenths, rounded down as the server does. */
export const pointsSoFar = (milestone: Milestone, marks: ReadonlyMap<number, number>) =>
  milestone.scoring
    ? Math.floor((unitsSoFar(milestone, marks) * 10) / milestone.scoring.unitsPerPoint) / 10
    : [...marks.values()].reduce((sum, points) => sum + points, 0);

/** Criteria marked under their floor: no total makes up for them. */
export const underFloor = (milestone: Milestone, marks: ReadonlyMap<number, number>) =>
  milestone.criteria.filter(
    (c) => c.floorPoints !== undefined && (marks.get(c.ordinal) ?? c.floorPoints) < c.floorPoints,
  );

/** What the marks given mean so far: passed, or what is short of it; nothing before the first mark. */
export function verdict(milestone: Milestone, marks: ReadonlyMap<number, number>): string | undefined {
  if (!milestone.scoring || marks.size === 0) return undefined;
  const under = underFloor(milestone, marks);
  if (under.length > 0) {
    return `not passed: ${under.map((c) => `${c.name.toLowerCase()} under ${c.floorPoints}`).join(", ")}`;
  }
  if (nextCriterion(milestone, marks) !== undefined) return undefined;
  return unitsSoFar(milestone, marks) >= milestone.scoring.passUnits ? "passes" : "not yet enough points";
}

export const mostPoints = (milestone: Milestone) =>
  milestone.criteria.reduce((sum, criterion) => sum + criterion.topPoints, 0);

/** Whole-section marking: everybody passes except those touched, who go round not yet, absent and back. */
export const nextOutcome = (outcome: Outcome): Outcome =>
  outcome === "PASS" ? "NOT_YET" : outcome === "NOT_YET" ? "ABSENT" : "PASS";

/** Counts of a whole-section marking, in words: "6 passed, 1 not yet". */
export function countWords(outcomes: readonly Outcome[]): string {
  const words: [Outcome, string][] = [
    ["PASS", "passed"],
    ["NOT_YET", "not yet"],
    ["ABSENT", "absent"],
  ];
  return words
    .map(([outcome, word]) => [outcomes.filter((o) => o === outcome).length, word] as const)
    .filter(([count]) => count > 0)
    .map(([count, word]) => `${count} ${word}`)
    .join(", ");
}

export const playerPlace = (player: Player) =>
  player.division ? `${player.instrumentName}, ${player.division}` : player.instrumentName;

export const outcomeWords: Record<Outcome, string> = {
  PASS: "passed",
  NOT_YET: "not yet",
  ABSENT: "absent",
  EXCUSED: "excused",
  UNDONE: "undone",
};

/** What another listener found, in words; of what is scored nothing, so that nobody scores with it in mind. */
export const foundWords = (scored: boolean, outcome: Outcome): string =>
  scored ? "" : `: ${outcomeWords[outcome]}`;

/** A milestone with its criteria in other words, as a student's variant says them. */
export const wordedBy = (milestone: Milestone, names: readonly string[] | undefined): Milestone =>
  names
    ? {
        ...milestone,
        criteria: milestone.criteria.map((criterion) => ({
          ...criterion,
          name: names[criterion.ordinal - 1] ?? criterion.name,
        })),
      }
    : milestone;

/** Whether a run is empty since nobody has the milestone set, which is not the same as everybody heard. */
export const isSetForNobody = (players: readonly Pick<Player, "standing">[]) =>
  players.every((player) => player.standing.state === "NOT_SET");
