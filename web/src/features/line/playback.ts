import type { LineAnalysis } from "../../api/types";

/** A tone or click to sound, in seconds from the beginning. */
export interface Event {
  at: number;
  lasts: number;
  midi?: number;
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
  /** Places in the played order to begin and end with, both included. */
  from: number;
  to: number;
}

/** Beats of a measure's meter as the foot taps: three in a 3/4, two in a 6/8. */
export function pulses(meter: string): { count: number; beats: number } {
  const [count = 4, unit = 4] = meter.split("/").map(Number);
  return unit === 8 && count % 3 === 0 && count > 3
    ? { count: count / 3, beats: 1.5 }
    : { count, beats: 4 / unit };
}

/** Everything to be sounded of a stretch of a line, with a measure counted in less the pick-up. */
export function planOf(analysis: LineAnalysis, options: PlayOptions): Plan {
  const secondsPerBeat = 60 / (analysis.tempoBpm * options.pace);
  const { count, beats } = pulses(analysis.meter);
  const lengths = analysis.order.map((played) => analysis.measures[played.index]?.beats ?? 0);
  const begins = lengths.map((_, i) => lengths.slice(0, i).reduce((sum, length) => sum + length, 0));
  const first = begins[options.from] ?? 0;
  const last = (begins[options.to] ?? 0) + (lengths[options.to] ?? 0);
  const full = count * beats;
  const opening = lengths[options.from] ?? full;
  const counted = options.countIn ? full - (opening < full ? opening : 0) + (opening < full ? full : 0) : 0;
  const offset = counted * secondsPerBeat;
  const events: Event[] = [];
  for (let beat = 0; beat < counted - 1e-6; beat += beats) {
    events.push({
      at: beat * secondsPerBeat,
      lasts: 0.05,
      click: Math.abs(beat % full) < 1e-6 ? "strong" : "weak",
    });
  }
  analysis.sounding
    .filter((note) => note.onset >= first - 1e-6 && note.onset < last - 1e-6)
    .forEach((note) =>
      events.push({
        at: offset + (note.onset - first) * secondsPerBeat,
        lasts: Math.min(note.beats, last - note.onset) * secondsPerBeat,
        midi: note.midi,
      }),
    );
  if (options.metronome) {
    for (let place = options.from; place <= options.to; place++) {
      const length = lengths[place] ?? 0;
      const late = length < full && place === 0 ? full - length : 0;
      for (let beat = 0; beat < length - 1e-6; beat += beats) {
        events.push({
          at: offset + ((begins[place] ?? 0) - first + beat) * secondsPerBeat,
          lasts: 0.05,
          click: beat === 0 && late === 0 ? "strong" : "weak",
        });
      }
    }
  }
  return {
    events: events.toSorted((a, b) => a.at - b.at),
    measures: begins
      .slice(options.from, options.to + 1)
      .map((begin) => offset + (begin - first) * secondsPerBeat),
    ends: offset + (last - first) * secondsPerBeat,
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
