import { describe, expect, it } from "vitest";
import {
  besideReducer,
  besideToSend,
  measuresOf,
  nothingBeside,
  NOT_CLEAN,
  tempoOf,
  type BesideAction,
} from "./beside";

const after = (...actions: BesideAction[]) => actions.reduce(besideReducer, nothingBeside);

describe("what is noted beside a try", () => {
  it("takes a fault and its measure in either order, and each back", () => {
    const first = after({ type: "fault", sign: "Rushes" }, { type: "measure", number: 3 });
    const second = after({ type: "measure", number: 3 }, { type: "fault", sign: "Rushes" });
    expect(first.faults).toEqual([{ sign: "Rushes", measure: 3 }]);
    expect(second.faults).toEqual(first.faults);
    expect(besideReducer(first, { type: "measure", number: 3 }).faults).toEqual([
      { sign: "Rushes", measure: undefined },
    ]);
    expect(besideReducer(first, { type: "fault", sign: "Rushes" }).faults).toEqual([]);
  });

  it("gives a measure to the fault said last", () => {
    const state = after(
      { type: "fault", sign: "Rushes" },
      { type: "fault", sign: "Rhythm" },
      { type: "measure", number: 5 },
    );
    expect(besideToSend(state).faults).toEqual([
      { sign: "Rushes", measure: undefined },
      { sign: "Rhythm", measure: 5 },
    ]);
    expect([...measuresOf(state)]).toEqual([5]);
  });

  it("sends a measure of which nothing was said as not clean, and nothing where nothing is", () => {
    expect(besideToSend(after({ type: "measure", number: 2 })).faults).toEqual([
      { sign: NOT_CLEAN, measure: 2 },
    ]);
    expect(besideToSend(nothingBeside)).toEqual({});
  });

  it("tells a tempo from three taps on, and one late tap changes nothing", () => {
    expect(tempoOf([0, 500])).toBeUndefined();
    expect(tempoOf([0, 500, 1000, 1500])).toBe(120);
    expect(tempoOf([0, 750, 1500, 2900, 3650, 4400])).toBe(80);
    expect(tempoOf([0, 10, 20])).toBeUndefined();
  });

  it("begins anew after a pause", () => {
    const state = after(
      { type: "tap", at: 0 },
      { type: "tap", at: 500 },
      { type: "tap", at: 9_000 },
      { type: "tap", at: 9_600 },
      { type: "tap", at: 10_200 },
    );
    expect(besideToSend(state).tempoBpm).toBe(100);
  });
});
