import type { AttemptRequest } from "../../api/types";

export interface FaultMark {
  sign: string;
  /** Its number on the page, where it was tapped. */
  measure?: number;
}

/** What is noted beside a try before its outcome is pressed. */
export interface Beside {
  faults: readonly FaultMark[];
  /** A measure tapped before its fault was said. */
  measure?: number;
  /** Moments of the taps along with the beat, in milliseconds. */
  taps: readonly number[];
}

export type BesideAction =
  | { type: "fault"; sign: string }
  | { type: "measure"; number: number }
  | { type: "tap"; at: number }
  | { type: "clear" };

export const nothingBeside: Beside = { faults: [], taps: [] };

/** Taps further apart belong to another try. */
const PAUSE_MS = 3_000;
/** Two taps are one beat: too little to tell a tempo from. */
const LEAST_TAPS = 3;
const SLOWEST = 20;
const FASTEST = 400;

/** What went wrong in a measure of which nothing else was said. */
export const NOT_CLEAN = "Not clean";

export function besideReducer(state: Beside, action: BesideAction): Beside {
  switch (action.type) {
    case "fault": {
      if (state.faults.some((fault) => fault.sign === action.sign))
        return { ...state, faults: state.faults.filter((fault) => fault.sign !== action.sign) };
      const { measure, ...rest } = state;
      return { ...rest, faults: [...state.faults, { sign: action.sign, measure }] };
    }
    case "measure": {
      const last = state.faults.at(-1);
      if (!last) return { ...state, measure: state.measure === action.number ? undefined : action.number };
      const measure = last.measure === action.number ? undefined : action.number;
      return { ...state, faults: [...state.faults.slice(0, -1), { ...last, measure }] };
    }
    case "tap": {
      const before = state.taps.at(-1);
      const goesOn = before !== undefined && action.at - before <= PAUSE_MS;
      return { ...state, taps: goesOn ? [...state.taps, action.at] : [action.at] };
    }
    case "clear":
      return nothingBeside;
  }
}

/** The tempo tapped, in beats a minute: the middle one of the beats, so that one late tap changes nothing. */
export function tempoOf(taps: readonly number[]): number | undefined {
  if (taps.length < LEAST_TAPS) return undefined;
  const beats = taps
    .slice(1)
    .map((at, i) => at - taps[i]!)
    .toSorted((a, b) => a - b);
  const middle = (beats[(beats.length - 1) >> 1]! + beats[beats.length >> 1]!) / 2;
  const tempo = Math.round(60_000 / middle);
  return tempo >= SLOWEST && tempo <= FASTEST ? tempo : undefined;
}

/** The measures with something noted, by their numbers. */
export const measuresOf = (state: Beside): ReadonlySet<number> =>
  new Set([...state.faults.map((fault) => fault.measure), state.measure].filter((n) => n !== undefined));

/** As it is sent with a try. */
export function besideToSend(state: Beside): Partial<Pick<AttemptRequest, "faults" | "tempoBpm">> {
  const faults =
    state.measure === undefined
      ? state.faults
      : [...state.faults, { sign: NOT_CLEAN, measure: state.measure }];
  return {
    ...(faults.length > 0 && { faults: faults.map((fault) => ({ ...fault })) }),
    ...(tempoOf(state.taps) !== undefined && { tempoBpm: tempoOf(state.taps) }),
  };
}
