import { describe, expect, it } from "vitest";
import type { Finger, Ladder, LineAnalysis, SectionReading, SectionView } from "../../api/types";
import {
  bracketsOf,
  draftOf,
  fingerAt,
  lasting,
  moved,
  readersIn,
  readingOf,
  remarksFor,
  looksOf,
  shortOf,
  spansOf,
  underOf,
} from "./line";

const reading = (instrument: string, value: number): SectionReading => ({
  instrument,
  name: instrument,
  writtenKey: "C major",
  pitched: true,
  octaves: 0,
  soundsAbove: 0,
  writtenAbove: 2,
  moved: [],
  breaths: [],
  trackKnown: false,
  news: [],
  hands: [],
  tendencies: [],
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
      { measure: 1, label: "1 2", spot: false },
      { measure: 3, label: "4", spot: false },
    ]);
    const spot = (measure: number, recalls?: number) =>
      ({ measure, number: measure + 1, reasons: ["WIDE_LEAP", "FAST"], recalls }) as never;
    const hot = { ...reading("horn", 1), hotSpots: [spot(1), spot(5), spot(6, 2)] };
    expect(bracketsOf(hot).at(-1)).toEqual({ measure: 5, label: "leap", spot: true });
    expect(bracketsOf(hot)).toHaveLength(3);
    expect(bracketsOf(undefined)).toEqual([]);
  });

  it("keeps to those who are in the class", () => {
    const here = [{ instrument: "tuba" }, { instrument: "flute" }] as unknown as SectionView[];
    expect(readersIn(analysis, here).map((r) => r.instrument)).toEqual(["flute", "tuba"]);
    expect(readingOf(analysis, "horn")?.name).toBe("horn");
    expect(readingOf(analysis, undefined)).toBeUndefined();
  });

  it("shows what is said to everybody and to the section", () => {
    const remark = (instrument: string) => ({ instrument, trouble: "", tip: instrument });
    const all = [remark("any"), remark("flute"), remark("horn")];
    expect(remarksFor(all, "horn").map((r) => r.tip)).toEqual(["any", "horn"]);
    expect(remarksFor(all, undefined).map((r) => r.tip)).toEqual(["any"]);
  });

  it("finds the finger of a note by its beat, none for what is tied on", () => {
    const finger = (name: string, beats: number) => ({ name, beats }) as Finger;
    const measure = [finger("C", 1.5), finger("D", 0.5), finger("E", 2)];
    expect(fingerAt(measure, 0)?.name).toBe("C");
    expect(fingerAt(measure, 1.5)?.name).toBe("D");
    expect(fingerAt(measure, 1)).toBeUndefined();
    expect(fingerAt(undefined, 0)).toBeUndefined();
  });

  it("moves a step and sends no more than was asked", () => {
    expect(moved(["a", "b", "c"], 1, -1)).toEqual(["b", "a", "c"]);
    expect(moved(["a", "b"], 0, -1)).toEqual(["a", "b"]);
    const step = {
      kind: "JOIN",
      from: 0,
      to: 1,
      tempoBpm: 60,
      repetitions: 2,
      groups: [],
      bows: [],
      note: "",
    };
    const ladder = {
      kept: false,
      minutes: 6,
      habit: "SPOTS_FIRST",
      seconds: 9,
      dropped: [],
      steps: [{ ...step, what: "joined", seconds: 9 }],
    } as unknown as Ladder;
    expect(draftOf(ladder)).toEqual({ minutes: 6, habit: "SPOTS_FIRST", steps: [step] });
  });

  it("says how long it lasts", () => {
    expect(lasting(48.4)).toBe("48 s");
    expect(lasting(72)).toBe("1 min 12 s");
  });
});

it("says measures in a row as one span", () => {
  expect(spansOf([1, 2, 3, 6, 8, 9])).toBe("1 to 3, 6, 8 to 9");
  expect(spansOf([])).toBe("");
});

it("stands names, fingerings or syllables under the notes, as a section has them", () => {
  const finger = (part: Partial<Finger>) =>
    ({
      name: "B-flat",
      beats: 1,
      label: "open",
      keys: [],
      marked: "NOTHING",
      alternates: [],
      ...part,
    }) as Finger;
  expect(underOf(finger({}), "NAMES")).toBe("B♭");
  expect(underOf(finger({}), "FINGERS")).toBe("0");
  expect(underOf(finger({}), "SYLLABLES")).toBe("");
  expect(looksOf([[finger({ syllable: "too" })]], false)).toContain("SYLLABLES");
  expect(looksOf([[finger({ bow: "DOWN" })]], false)).toEqual([
    "STAFF",
    "NAMES",
    "BOTH",
    "BOWING",
    "FINGERS",
  ]);
  expect(looksOf([[finger({})]], true)).toEqual(["STAFF", "BOTH"]);
});

it("writes fingerings short under the staff", () => {
  expect(["open", "T open", "T 1-2", "1-3", "T1"].map(shortOf)).toEqual(["0", "T0", "T12", "1-3", "T1"]);
});
