import { describe, expect, it } from "vitest";
import type { Candidate, EnsembleSection } from "../../api/types";
import { balanceWords, takes } from "./balanceWords";

const section = (more: Partial<EnsembleSection>): EnsembleSection => ({
  instrument: "horn",
  instrumentName: "Horn",
  ready: 0,
  nearly: 0,
  missing: 0,
  over: 0,
  weight: "OPEN",
  candidates: [],
  ...more,
});
const candidate = (more: Partial<Candidate>): Candidate => ({
  studentId: "s",
  name: "Katya Brightwell",
  classId: "c",
  inIt: false,
  degree: "NOT_YET",
  needed: 0,
  missing: [],
  ...more,
});

describe("balance", () => {
  it("says how many are missing or over", () => {
    expect(balanceWords(section({ weight: "SHORT", wanted: 4, ready: 2, missing: 2 }))).toBe("2 short");
    expect(balanceWords(section({ weight: "OVER", wanted: 4, ready: 6, over: 2 }))).toBe(
      "2 more than wanted",
    );
    expect(balanceWords(section({ weight: "SHORT_FOR_NOW", wanted: 4, ready: 3, missing: 1 }))).toContain(
      "once those nearly ready are",
    );
  });
});

describe("what it takes", () => {
  it("names what is missing, and how many of several", () => {
    expect(takes(candidate({ degree: "READY" }))).toBe("ready");
    expect(takes(candidate({ needed: 2, missing: ["line 1", "hold"] }))).toBe("2 passes: line 1, hold");
    expect(takes(candidate({ needed: 1, missing: ["line 1", "hold"] }))).toBe("1 of line 1, hold");
    expect(takes(candidate({ needed: 5, missing: ["a", "b", "c", "d", "e"] }))).toBe(
      "5 passes: a, b, c, d …",
    );
  });
});
