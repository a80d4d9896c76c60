import { describe, expect, it } from "vitest";
import type { CheckDraft } from "../../api/types";
import { draftOf, emptyForm, formOf } from "./checkForm";

const draft: CheckDraft = {
  title: "Flute: shelf",
  shortName: "Hold",
  topic: "HOLD",
  appliesTo: ["flute"],
  instrumentFree: false,
  steps: [{ text: "Make the shelf", cue: "Shelf" }, { text: "Thumb under" }],
  criteria: [
    { name: "Shelf", mustSee: true },
    { name: "Thumb", mustSee: false },
  ],
  selfTest: "Let go.",
  syllables: [{ style: "hard", syllable: "too" }],
  faults: [{ sign: "Rolls in", remedies: ["Thumb further under", "Rods up"] }],
  cautions: ["PAIN"],
  variants: [{ name: "Curved head", note: "short arms", reviewWeeks: 12 }],
  tones: [{ instrument: "flute", pitch: "A5" }],
  why: "Free fingers are quick.",
  seenFrom: "SIDE",
  notFor: "Short arms take a curved head.",
  pass: { rule: "SCORE_AT_LEAST", mark: 1 },
  after: ["other"],
};

describe("the form of a check", () => {
  it("sends back what it was given", () => {
    expect(draftOf(formOf(draft))).toEqual(draft);
  });

  it("takes one thing to try from each line", () => {
    expect(formOf(draft).faults[0]?.remedies).toBe("Thumb further under\nRods up");
    const [fault] = draftOf({ ...emptyForm, faults: [{ sign: "Airy", remedies: "Less\nMore" }] }).faults;
    expect(fault?.remedies).toEqual(["Less", "More"]);
  });

  it("sends only the numbers of the rule that was chosen", () => {
    expect(draftOf({ ...emptyForm, rule: "K_OF_LAST_N", k: 6, n: 5 }).pass).toEqual({
      rule: "K_OF_LAST_N",
      k: 6,
      n: 5,
      mark: undefined,
    });
    expect(draftOf(emptyForm).pass).toEqual({
      rule: "ALL_CRITERIA",
      k: undefined,
      n: undefined,
      mark: undefined,
    });
  });

  it("leaves what comes before to the topics unless it was chosen", () => {
    expect(draftOf({ ...emptyForm, after: ["a"] }).after).toBeUndefined();
    expect(draftOf({ ...emptyForm, inferred: false, after: [] }).after).toEqual([]);
    expect(formOf({ ...draft, after: undefined }).inferred).toBe(true);
  });

  it("passes over empty tones and syllables, not over half-written ones", () => {
    const sent = draftOf({
      ...emptyForm,
      tones: [
        { instrument: "flute", pitch: " " },
        { instrument: "tuba", pitch: "Bb1" },
      ],
      syllables: [
        { style: "", syllable: "" },
        { style: "soft", syllable: "" },
      ],
    });
    expect(sent.tones).toEqual([{ instrument: "tuba", pitch: "Bb1" }]);
    expect(sent.syllables).toEqual([{ style: "soft", syllable: "" }]);
  });
});
