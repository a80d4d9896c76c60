import { describe, expect, it } from "vitest";
import type { LineAnalysis, SectionReading, SectionView } from "../../api/types";
import { bracketsOf, hardestFor, lasting, readersIn, readingOf } from "./line";

const reading = (instrument: string, value: number): SectionReading => ({
  instrument,
  name: instrument,
  writtenKey: "C major",
  octaves: 0,
  outside: [],
  traps: [
    { kind: "STILL_ALTERED", measure: 1, number: 2, sentence: "Still F-sharp" },
    { kind: "HIDDEN_SKIP", measure: 1, number: 2, sentence: "A skip" },
    { kind: "NEVER_AS_SIGNED", measure: 0, number: 1, sentence: "Every B" },
    { kind: "MUST_BE_COUNTED", measure: 3, number: 4, sentence: "Held" },
  ],
  demand: [{ kind: "LEAP", value, number: 1, words: "a third" }],
  hotSpots: [],
});
const analysis = {
  sections: [reading("flute", 2), reading("horn", 4), reading("tuba", 2)],
} as unknown as LineAnalysis;

describe("a line as sections read it", () => {
  it("brackets each measure with traps once, numbered as the list", () => {
    expect(bracketsOf(reading("horn", 1))).toEqual([
      { measure: 1, label: "1 2" },
      { measure: 3, label: "4" },
    ]);
    expect(bracketsOf(undefined)).toEqual([]);
  });

  it("keeps to those who are in the class", () => {
    const here = [{ instrument: "tuba" }, { instrument: "flute" }] as unknown as SectionView[];
    expect(readersIn(analysis, here).map((r) => r.instrument)).toEqual(["flute", "tuba"]);
    expect(readingOf(analysis, "horn")?.name).toBe("horn");
    expect(readingOf(analysis, undefined)).toBeUndefined();
  });

  it("says who has the hard one only where one has", () => {
    expect(hardestFor(analysis.sections, "LEAP")).toBe("horn");
    expect(hardestFor([reading("a", 2), reading("b", 2)], "LEAP")).toBeUndefined();
  });

  it("says how long it lasts", () => {
    expect(lasting(48.4)).toBe("48 s");
    expect(lasting(72)).toBe("1 min 12 s");
  });
});
