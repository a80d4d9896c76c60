import { describe, expect, it } from "vitest";
import type { LineAnalysis } from "../../api/types";
import { placeAt, planOf, type PlayOptions } from "./playback";

const clicks = (count: number, every = 1) =>
  Array.from({ length: count }, (_, i) => ({ seconds: i * every, strong: i === 0 }));

const analysis = {
  tempoBpm: 60,
  seconds: 12,
  meter: "4/4",
  order: [
    {
      index: 0,
      number: 1,
      pass: 1,
      seconds: 0,
      countInSeconds: 4,
      countIn: clicks(4),
      clicks: clicks(4),
    },
    {
      index: 1,
      number: 2,
      pass: 1,
      seconds: 4,
      countInSeconds: 4,
      countIn: clicks(4),
      clicks: clicks(4),
    },
    {
      index: 0,
      number: 1,
      pass: 2,
      seconds: 8,
      countInSeconds: 4,
      countIn: clicks(4),
      clicks: clicks(4),
    },
  ],
  sounding: [
    { midi: 60, onset: 0, beats: 2, seconds: 0, lasts: 2, measure: 0 },
    { midi: 62, onset: 3, beats: 3, seconds: 3, lasts: 3, measure: 0 },
    { midi: 60, onset: 8, beats: 4, seconds: 8, lasts: 4, measure: 0 },
  ],
} as unknown as LineAnalysis;

const all: PlayOptions = { pace: 1, countIn: false, metronome: false, from: 0, to: 2 };

describe("playing a line", () => {
  it("sounds every note of the order played", () => {
    const plan = planOf(analysis, all);
    expect(plan.events.map((e) => [e.midi, e.at, e.lasts])).toEqual([
      [60, 0, 2],
      [62, 3, 3],
      [60, 8, 4],
    ]);
    expect(plan.measures).toEqual([0, 4, 8]);
    expect(plan.ends).toBe(12);
  });

  it("plays as a section reads it where that is asked for", () => {
    expect(planOf(analysis, { ...all, transpose: 2 }).events[0]?.midi).toBe(62);
  });

  it("is slower where it is asked to be", () => {
    expect(planOf(analysis, { ...all, pace: 0.5 }).ends).toBe(24);
  });

  it("counts a measure in, and clicks on every beat", () => {
    const plan = planOf(analysis, { ...all, countIn: true, metronome: true });
    expect(plan.measures[0]).toBe(4);
    const clicks = plan.events.filter((e) => e.click);
    expect(clicks).toHaveLength(4 + 12);
    expect(clicks.filter((e) => e.click === "strong")).toHaveLength(1 + 3);
  });

  it("counts in as the server says, slower where the pace is", () => {
    const pickUp = {
      ...analysis,
      order: [
        { ...analysis.order[0]!, countInSeconds: 3, countIn: clicks(3) },
        { ...analysis.order[1]!, seconds: 1 },
      ],
      seconds: 5,
    } as LineAnalysis;
    expect(planOf(pickUp, { ...all, to: 1, countIn: true }).measures[0]).toBe(3);
    const slow = planOf(pickUp, { ...all, to: 1, countIn: true, pace: 0.5 });
    expect(slow.measures[0]).toBe(6);
    expect(slow.events.filter((e) => e.click).map((e) => e.at)).toEqual([0, 2, 4]);
  });

  it("loops a stretch and cuts what sounds beyond it", () => {
    const plan = planOf(analysis, { ...all, from: 0, to: 0 });
    expect(plan.ends).toBe(4);
    expect(plan.events.map((e) => e.lasts)).toEqual([2, 1]);
  });

  it("knows which measure sounds", () => {
    const plan = planOf(analysis, { ...all, countIn: true, from: 1, to: 2 });
    expect(placeAt(plan, 1, 0)).toBe(-1);
    expect(placeAt(plan, 1, 4)).toBe(1);
    expect(placeAt(plan, 1, 9)).toBe(2);
  });

  it("clicks where the server says, held beats included", () => {
    const changing = {
      ...analysis,
      order: [
        {
          ...analysis.order[0]!,
          clicks: [0, 1, 2, 4].map((seconds) => ({ seconds, strong: seconds === 0 })),
        },
        { ...analysis.order[1]!, seconds: 6, clicks: clicks(2, 0.75) },
      ],
      seconds: 7.5,
      sounding: [{ midi: 60, onset: 4, beats: 3, seconds: 6, lasts: 1.5, measure: 1 }],
    } as LineAnalysis;
    const plan = planOf(changing, { ...all, to: 1, metronome: true, pace: 0.5 });
    expect(plan.events.filter((e) => e.click).map((e) => [e.at, e.click])).toEqual([
      [0, "strong"],
      [2, "weak"],
      [4, "weak"],
      [8, "weak"],
      [12, "strong"],
      [13.5, "weak"],
    ]);
    expect(plan.events.filter((e) => e.midi).map((e) => [e.at, e.lasts])).toEqual([[12, 3]]);
    expect(plan.ends).toBe(15);
  });
});
