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
  /** Semitones higher than it sounds, to play what a section reads. */
  transpose?: number;
  /** Places in the played order to begin and end with, both included. */
  from: number;
  to: number;
}

/** Everything to be sounded of a stretch of a line, counted in as the programme counts. */
export function planOf(analysis: LineAnalysis, options: PlayOptions): Plan {
  const ends = (place: number) => analysis.order[place + 1]?.seconds ?? analysis.seconds;
  const begins = (place: number) => analysis.order[place]?.seconds ?? analysis.seconds;
  const measureAt = (place: number) => analysis.measures[analysis.order[place]?.index ?? -1];
  const secondsPerBeat = (place: number) =>
    (ends(place) - begins(place)) / (measureAt(place)?.beats || 1) / options.pace;
  const first = begins(options.from);
  const last = ends(options.to);
  const opening = measureAt(options.from);
  const countedBeats =
    !options.countIn || !opening ? 0 : options.from === 0 ? analysis.countInBeats : opening.full;
  const offset = countedBeats * secondsPerBeat(options.from);
  const at = (seconds: number) => offset + (seconds - first) / options.pace;
  const events: Event[] = [];
  const click = (seconds: number, strong: boolean) =>
    events.push({ at: seconds, lasts: 0.05, click: strong ? "strong" : "weak" });
  if (opening) {
    for (let beat = 0; beat < countedBeats - 1e-6; beat += opening.pulse) {
      click(beat * secondsPerBeat(options.from), beat % opening.full < 1e-6);
    }
  }
  analysis.sounding
    .filter((note) => note.seconds >= first - 1e-6 && note.seconds < last - 1e-6)
    .forEach((note) =>
      events.push({
        at: at(note.seconds),
        lasts: Math.min(note.lasts, last - note.seconds) / options.pace,
        midi: note.midi + (options.transpose ?? 0),
      }),
    );
  if (options.metronome) {
    for (let place = options.from; place <= options.to; place++) {
      const measure = measureAt(place);
      if (!measure) continue;
      const pickUp = place === 0 && measure.beats < measure.full;
      for (let beat = 0; beat < measure.beats - 1e-6; beat += measure.pulse) {
        click(at(begins(place)) + beat * secondsPerBeat(place), beat === 0 && !pickUp);
      }
    }
  }
  return {
    events: events.toSorted((a, b) => a.at - b.at),
    measures: analysis.order.slice(options.from, options.to + 1).map((played) => at(played.seconds)),
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
