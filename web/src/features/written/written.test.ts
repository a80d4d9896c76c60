import { describe, expect, it } from "vitest";
import { back, byLine, further, pointsTyped, usualMark, type Shown } from "./written";
import type { WrittenSheet } from "../../api/types";

describe("a written check on the board", () => {
  it("shows a question, then its answer, then the next, and stays at the last", () => {
    let shown: Shown = { question: 0, answered: false };
    const seen = [];
    for (let i = 0; i < 5; i++) {
      seen.push(`${shown.question}${shown.answered ? "a" : ""}`);
      shown = further(shown, 2);
    }
    expect(seen).toEqual(["0", "0a", "1", "1a", "1a"]);
    expect(back({ question: 1, answered: false })).toEqual({ question: 0, answered: true });
    expect(back({ question: 0, answered: false })).toEqual({ question: 0, answered: false });
  });
});

describe("a sheet", () => {
  it("keeps the numbers of its questions when they are told by line", () => {
    const question = (lineId: string) => ({ ask: "NAME_NOTE" as const, lineId, question: "q", answer: "a" });
    const sheet: WrittenSheet = {
      title: "Sheet",
      seed: 1,
      lineIds: ["b", "a"],
      questions: [question("a"), question("b"), question("a")],
    };
    expect(byLine(sheet).map(({ questions }) => questions.map((one) => one.number))).toEqual([[2], [1, 3]]);
  });

  it("takes points as typed, and nothing out of its scale", () => {
    const typed = new Map([
      ["ana", "8"],
      ["bo", " "],
      ["cy", "13"],
      ["di", "0"],
      ["ed", "x"],
      ["flo", "7.5"],
    ]);
    expect([...pointsTyped(typed, 12)]).toEqual([
      ["ana", 8],
      ["di", 0],
    ]);
    expect(usualMark(12)).toBe(9);
    expect(usualMark(1)).toBe(1);
  });
});
