import type { LineAnalysis } from "../../api/types";

/** A tone or click to sound, in seconds from the beginning. */
export interface Event {
  at: number;
  lasts: number;
  midi?: number;
  /** Softer than the part one listens to. */
  beside?: boolean;
  /** A click: strong on the first beat. */
  click?: "strong" | "weak";
}

export interface Plan {
  events: Event[];
  /** When each measure of the played order begins, by place in that order. */
  measures: number[];
  ends: number;
}

export interface PlayOptions {
  /** Of the tempo printed: 1 as printed, 0.5 half as fast. */
  pace: number;
  countIn: boolean;
  metronome: boolean;
  /** Whether the other sections and the accompaniment sound too. */
  others?: boolean;
  /** Semitones higher than it sounds, to play what a section reads. */
  transpose?: number;
  /** Places in the played order to begin and end with, both included. */
  from: number;
  to: number;
}

/** Everything to be sounded of a stretch of a line; the server says when, here it is only cut out and slowed. */
export function planOf(analysis: LineAnalysis, options: PlayOptions): Plan {
  const begins = (place: number) => analysis.order[place]?.seconds ?? analysis.seconds;
  const first = begins(options.from);
  const last = begins(options.to + 1);
  const opening = analysis.order[options.from];
  const offset = options.countIn && opening ? opening.countInSeconds / options.pace : 0;
  const at = (seconds: number) => offset + (seconds - first) / options.pace;
  const events: Event[] = [];
  const click = (seconds: number, strong: boolean) =>
    events.push({ at: seconds, lasts: 0.05, click: strong ? "strong" : "weak" });
  if (options.countIn && opening) {
    opening.countIn.forEach((one) => click(one.seconds / options.pace, one.strong));
  }
  const sound = (notes: LineAnalysis["sounding"], beside: boolean) =>
    notes
      .filter((note) => note.seconds >= first - 1e-6 && note.seconds < last - 1e-6)
      .forEach((note) =>
        events.push({
          at: at(note.seconds),
          lasts: Math.min(note.lasts, last - note.seconds) / options.pace,
          midi: note.midi + (options.transpose ?? 0),
          ...(beside && { beside }),
        }),
      );
  sound(analysis.sounding, false);
  if (options.others) analysis.beside.forEach((part) => sound(part.sounding, true));
  const places = analysis.order.slice(options.from, options.to + 1);
  if (options.metronome) {
    places.forEach((played) =>
      played.clicks.forEach((one) => click(at(played.seconds + one.seconds), one.strong)),
    );
  }
  return {
    events: events.toSorted((a, b) => a.at - b.at),
    measures: places.map((played) => at(played.seconds)),
    ends: at(last),
  };
}

/** The place in the played order that sounds at a time; before the first measure -1. */
export function placeAt(plan: Plan, from: number, seconds: number): number {
  let place = -1;
  plan.measures.forEach((begin, i) => {
    if (seconds >= begin - 1e-6) place = from + i;
  });
  return place;
}
