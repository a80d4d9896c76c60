import type { GradeRow, GradeSettings, Grading, MilestoneKind } from "../../api/types";

export const gradedKinds: readonly [MilestoneKind, string][] = [
  ["LINE", "lines"],
  ["TECHNIQUE_CHECK", "checks"],
  ["PLAYING_TEST", "tests"],
  ["WRITTEN_CHECK", "written"],
  ["BELT", "belts"],
];

/** The marking period a day lies in; the last one begun where it lies in none, else the first. */
export function periodOn(periods: Grading["periods"], day: string): string | undefined {
  const within = periods.find((period) => period.first <= day && day <= period.last);
  const begun = periods.filter((period) => period.first <= day).at(-1);
  return (within ?? begun ?? periods[0])?.id;
}

/** How a grade comes about, kind by kind: "lines 70.0 % of 4, weighs 40.0 %". */
export const kindWords = (kind: GradeRow["kinds"][number]): string =>
  `${gradedKinds.find(([of]) => of === kind.kind)?.[1] ?? kind.kind}: ${kind.percent} % of ${kind.items}, weighs ${kind.partPercent} %`;

/** A scale of steps needs its steps, one of points its most; what belongs to another scale is left out. */
export const toSend = (settings: GradeSettings): GradeSettings => ({
  ...settings,
  mostPoints: settings.scale === "POINTS" ? settings.mostPoints : undefined,
  steps: settings.scale === "STEPS" ? settings.steps : [],
});
