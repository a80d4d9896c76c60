import type { WrittenAsk, WrittenDraft, WrittenSheet } from "../../api/types";

export const askNames: Record<WrittenAsk, string> = {
  NAME_NOTE: "name these notes",
  COUNT_MEASURE: "count these measures",
  STILL_ALTERED: "which note is still altered",
  KEY_SIGNATURE: "what the key signature alters",
  WAY_THROUGH: "the order of the measures",
  FINGER: "finger these notes",
};

export const asks = Object.keys(askNames) as WrittenAsk[];

export const newWritten = (before: number): WrittenDraft => ({
  shortName: `Sheet ${before + 1}`,
  title: `Sheet ${before + 1}`,
  lineIds: [],
  asks: ["NAME_NOTE", "COUNT_MEASURE", "STILL_ALTERED", "KEY_SIGNATURE", "FINGER"],
  questions: 12,
  seed: 1,
  topPoints: 12,
  mark: 9,
});

/** A share of the points that passes unless somebody says otherwise; ours. */
const USUAL_SHARE = 0.75;

export const usualMark = (points: number): number => Math.max(1, Math.ceil(points * USUAL_SHARE));

/** Questions of a sheet by the line they are about, in the order of the sheet. */
export const byLine = (sheet: WrittenSheet) =>
  sheet.lineIds.map((lineId) => ({
    lineId,
    questions: sheet.questions
      .map((question, i) => ({ ...question, number: i + 1 }))
      .filter((question) => question.lineId === lineId),
  }));

/** One question after another on the board: the question first, its answer with the next press. */
export interface Shown {
  question: number;
  answered: boolean;
}

export function further(shown: Shown, questions: number): Shown {
  if (!shown.answered) return { ...shown, answered: true };
  return shown.question + 1 < questions ? { question: shown.question + 1, answered: false } : shown;
}

export function back(shown: Shown): Shown {
  if (shown.answered) return { ...shown, answered: false };
  return shown.question === 0 ? shown : { question: shown.question - 1, answered: true };
}

/** Points as typed for each student; what is empty or no number is none. */
export function pointsTyped(typed: ReadonlyMap<string, string>, top: number): Map<string, number> {
  const points = new Map<string, number>();
  typed.forEach((text, studentId) => {
    const number = Number(text);
    if (text.trim() !== "" && Number.isInteger(number) && number >= 0 && number <= top) {
      points.set(studentId, number);
    }
  });
  return points;
}
