import { describe, expect, it } from "vitest";
import type { LineAnalysis } from "../../api/types";
import { placeAt, planOf, type PlayOptions } from "./playback";

const analysis = {
  tempoBpm: 60,
  seconds: 12,
  meter: "4/4",
  countInBeats: 4,
  measures: [
    { index: 0, number: 1, beats: 4, full: 4, pulse: 1, signs: "" },
    { index: 1, number: 2, beats: 4, full: 4, pulse: 1, signs: "" },
  ],
  order: [
    { index: 0, number: 1, pass: 1, seconds: 0 },
    { index: 1, number: 2, pass: 1, seconds: 4 },
    { index: 0, number: 1, pass: 2, seconds: 8 },
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

  it("counts in less the pick-up", () => {
    const pickUp = {
      ...analysis,
      countInBeats: 3,
      measures: [{ ...analysis.measures[0]!, beats: 1 }, analysis.measures[1]!],
      order: [analysis.order[0]!, { ...analysis.order[1]!, seconds: 1 }],
      seconds: 5,
    } as LineAnalysis;
    expect(planOf(pickUp, { ...all, to: 1, countIn: true }).measures[0]).toBe(3);
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

  it("clicks the meter and the tempo of the measure it is in", () => {
    const changing = {
      ...analysis,
      measures: [analysis.measures[0]!, { index: 1, number: 2, beats: 3, full: 3, pulse: 1.5, signs: "" }],
      order: [
        { index: 0, number: 1, pass: 1, seconds: 0 },
        { index: 1, number: 2, pass: 1, seconds: 4 },
      ],
      seconds: 5.5,
      sounding: [{ midi: 60, onset: 4, beats: 3, seconds: 4, lasts: 1.5, measure: 1 }],
    } as LineAnalysis;
    const plan = planOf(changing, { ...all, to: 1, metronome: true, pace: 0.5 });
    expect(plan.events.filter((e) => e.click).map((e) => [e.at, e.click])).toEqual([
      [0, "strong"],
      [2, "weak"],
      [4, "weak"],
      [6, "weak"],
      [8, "strong"],
      [9.5, "weak"],
    ]);
    expect(plan.events.filter((e) => e.midi).map((e) => [e.at, e.lasts])).toEqual([[8, 3]]);
    expect(plan.ends).toBe(11);
  });
});
