import type { RubricCriterion, TestDraft, TestPartDraft, TestVariantDraft } from "../../api/types";

/** The same list with one of its items changed. */
export const changed = <T>(list: readonly T[], index: number, change: Partial<T>): T[] =>
  list.map((item, i) => (i === index ? { ...item, ...change } : item));

export const without = <T>(list: readonly T[], index: number): T[] => list.filter((_, i) => i !== index);

/** The same list with an item one place further up or down. */
export function moved<T>(list: readonly T[], index: number, by: 1 | -1): T[] {
  const to = index + by;
  if (to < 0 || to >= list.length) return [...list];
  const others = [...list];
  [others[index], others[to]] = [others[to]!, others[index]!];
  return others;
}

export const newPart = (milestoneId: string): TestPartDraft => ({ milestoneId, variants: [] });

export const newVariant = (instrument: string): TestVariantDraft => ({
  instrument,
  division: "",
  octaves: 0,
  position: "",
  string: "",
});

export const newCriterion = (): RubricCriterion => ({ name: "", topPoints: 4, weight: 1, levels: [] });

/** A number as typed; an empty field is none. */
export const numberOf = (text: string): number | undefined => {
  const number = Number(text);
  return text.trim() === "" || Number.isNaN(number) ? undefined : number;
};

/** An excerpt from two fields; where both are empty the whole is played, where one is, it is a single measure. */
export function excerptOf(
  from: number | undefined,
  to: number | undefined,
  repeats: boolean,
): TestPartDraft["excerpt"] {
  if (from === undefined && to === undefined) return undefined;
  return { from: from ?? to!, to: to ?? from!, repeats };
}

/** Levels as many as there are points, worded as far as they were. */
export const levelsFor = (criterion: RubricCriterion, topPoints: number): string[] =>
  criterion.levels.length === 0
    ? []
    : Array.from({ length: topPoints + 1 }, (_, i) => criterion.levels[i] ?? "");

/** Criteria whose points have no words keep none: a row of empty texts says nothing. */
export const toSend = (draft: TestDraft): TestDraft => ({
  ...draft,
  rubric: {
    ...draft.rubric,
    criteria: draft.rubric.criteria.map((criterion) => ({
      ...criterion,
      levels: criterion.levels.some((level) => level.trim() !== "") ? criterion.levels : [],
    })),
  },
});
