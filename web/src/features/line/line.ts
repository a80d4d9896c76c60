import type {
  Finger,
  Ladder,
  LadderDraft,
  LadderStep,
  LineAnalysis,
  LineRemark,
  SectionReading,
  SectionView,
} from "../../api/types";
import type { Look } from "./LookPicker";
import { signed } from "../../ui/notes";

export interface Bracket {
  /** Index of the measure in the line. */
  measure: number;
  label: string;
  /** A hot spot and no trap. */
  spot: boolean;
}

/** What a section reads; the concert reader has nothing of its own. */
export const readingOf = (
  analysis: LineAnalysis,
  instrument: string | undefined,
): SectionReading | undefined => analysis.sections.find((section) => section.instrument === instrument);

/** Those who are in the class, in score order, once each. */
export const readersIn = (analysis: LineAnalysis, sections: readonly SectionView[]): SectionReading[] => {
  const here = new Set(sections.map((s) => s.instrument));
  return analysis.sections.filter((section) => here.has(section.instrument));
};

type Reason = SectionReading["hotSpots"][number]["reasons"][number];

const reasonNames: Record<Reason, string> = {
  NEW_NOTE: "new note",
  TRAP: "trap",
  BEYOND_RANGE: "range",
  NEW_RHYTHM: "new rhythm",
  NEW_SIGN: "new sign",
  ALTERED: "altered",
  FAST: "fast",
  REGISTER_BREAK: "break",
  SHIFT: "shift",
  LONG_SLIDE: "long slide",
  SEVENTH_POSITION: "7th position",
  EXTENSION: "extension",
  AS_SIGNED_AGAIN: "as signed again",
  STRING_CROSSING: "crossing",
  FOURTH_FINGER: "4th finger",
  FALLING_SLUR: "falling slur",
  WIDE_LEAP: "leap",
};

const MOST_SPOTS = 4;

/**
 * A bracket for each measure with traps, numbered as the list beside the staff, and for the hottest of the others, with
 * the first reason why.
 */
export function bracketsOf(reading: SectionReading | undefined): Bracket[] {
  const byMeasure = new Map<number, number[]>();
  reading?.traps.forEach((trap, i) => {
    if (trap.kind === "NEVER_AS_SIGNED") return;
    byMeasure.set(trap.measure, [...(byMeasure.get(trap.measure) ?? []), i + 1]);
  });
  const spots = (reading?.hotSpots ?? [])
    .filter((spot) => spot.recalls === undefined)
    .slice(0, MOST_SPOTS)
    .filter((spot) => !byMeasure.has(spot.measure))
    .map((spot) => ({ measure: spot.measure, label: reasonNames[spot.reasons[0]!], spot: true }));
  const traps = [...byMeasure].map(([measure, numbers]) => ({
    measure,
    label: numbers.join(" "),
    spot: false,
  }));
  return [...traps, ...spots];
}

/** "1 min 12 s" of playing, from seconds. */
export function lasting(seconds: number): string {
  const whole = Math.round(seconds);
  return whole < 60 ? `${whole} s` : `${Math.floor(whole / 60)} min ${whole % 60} s`;
}

/** The director's remark for everybody and the one for an instrument, as far as they were written. */
export const remarksFor = (remarks: readonly LineRemark[], instrument: string | undefined): LineRemark[] =>
  remarks.filter((remark) => remark.instrument === "any" || remark.instrument === instrument);

/** Steps without playing, which have no tempo. */
export const silentSteps: ReadonlySet<LadderStep["kind"]> = new Set(["LOOK", "RECALL", "SET_FINGERS"]);

/** A step of a ladder as it is sent. */
export const draftOf = (ladder: Ladder): LadderDraft => ({
  minutes: ladder.minutes,
  habit: ladder.habit,
  steps: ladder.steps.map(({ kind, from, to, tempoBpm, repetitions, groups, bows, note }) => ({
    kind,
    from,
    to,
    tempoBpm,
    repetitions,
    groups,
    bows,
    note,
  })),
});

/** The word to a step, else what to listen for; what the step before said already is not said again. */
export function heardFor(ladder: Ladder, at: number): string | undefined {
  const { note, listenFor } = ladder.steps[at]!;
  return note || (listenFor === ladder.steps[at - 1]?.listenFor ? undefined : listenFor);
}

/** With the step one place earlier or later; the same where it stands at the end. */
export function moved<T>(steps: readonly T[], at: number, by: 1 | -1): T[] {
  const next = [...steps];
  const other = at + by;
  if (other < 0 || other >= next.length) return next;
  [next[at], next[other]] = [next[other]!, next[at]!];
  return next;
}

/** The finger of the note that begins on a beat of its measure; tied continuations have none of their own. */
export function fingerAt(measure: readonly Finger[] | undefined, beat: number): Finger | undefined {
  let at = 0;
  for (const finger of measure ?? []) {
    if (Math.abs(at - beat) < 0.01) return finger;
    at += finger.beats;
  }
  return undefined;
}

/** Numbers upward as one says them: "1 to 4, 6". */
export function spansOf(numbers: readonly number[]): string {
  const spans: [number, number][] = [];
  for (const number of numbers) {
    const last = spans.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else spans.push([number, number]);
  }
  return spans.map(([from, to]) => (from === to ? `${from}` : `${from} to ${to}`)).join(", ");
}

/** How a section's line may be shown: drums by hand, strings with bows, winds with what they say. */
export function looksOf(fingers: readonly (readonly Finger[])[], struck: boolean): Look[] {
  if (struck) return ["STAFF", "BOTH"];
  const all = fingers.flat();
  const spoken = all.some((finger) => finger.syllable);
  const bowed = all.some((finger) => finger.bow);
  return [
    "STAFF",
    "NAMES",
    "BOTH",
    ...(spoken ? (["SYLLABLES"] as const) : []),
    ...(bowed ? (["BOWING"] as const) : []),
    "FINGERS",
  ];
}

/** What stands under a note. */
export type Under = "FINGERS" | "NAMES" | "SYLLABLES";

/** The text of it; empty where nothing stands. */
export const underOf = (finger: Finger, under: Under): string =>
  under === "NAMES"
    ? signed(finger.name)
    : under === "SYLLABLES"
      ? (finger.syllable ?? "")
      : shortOf(finger.label);

/** A fingering narrow enough to stand under eighths: "0" for open, "T12" for the thumb with two valves. */
export function shortOf(label: string): string {
  if (label.startsWith("T ")) return `T${shortOf(label.slice(2)).replaceAll("-", "")}`;
  return label === "open" ? "0" : label;
}
