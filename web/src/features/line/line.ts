import type { LineAnalysis, SectionReading, SectionView } from "../../api/types";
import type { Bracket } from "./Staff";

/** What a section reads; the concert reader has nothing of its own. */
export const readingOf = (
  analysis: LineAnalysis,
  instrument: string | undefined,
): SectionReading | undefined => analysis.sections.find((section) => section.instrument === instrument);

/** Those who are in the class, in score order, once each. */
export const readersIn = (analysis: LineAnalysis, sections: readonly SectionView[]): SectionReading[] => {
  const here = new Set(sections.map((s) => s.instrument));
  return analysis.sections.filter((section) => here.has(section.instrument));
};

/** One bracket for each measure with traps, numbered as the list beside the staff. */
export function bracketsOf(reading: SectionReading | undefined): Bracket[] {
  const byMeasure = new Map<number, number[]>();
  reading?.traps.forEach((trap, i) => {
    if (trap.kind === "NEVER_AS_SIGNED") return;
    byMeasure.set(trap.measure, [...(byMeasure.get(trap.measure) ?? []), i + 1]);
  });
  return [...byMeasure].map(([measure, numbers]) => ({ measure, label: numbers.join(" ") }));
}

/** "1 min 12 s" of playing, from seconds. */
export function lasting(seconds: number): string {
  const whole = Math.round(seconds);
  return whole < 60 ? `${whole} s` : `${Math.floor(whole / 60)} min ${whole % 60} s`;
}

/** Who has the hard one: the section with the largest value of a kind, where it is larger than anybody else's. */
export function hardestFor(readers: readonly SectionReading[], kind: string): string | undefined {
  const values = readers
    .map((r) => ({ name: r.name, value: r.demand.find((d) => d.kind === kind)?.value ?? -Infinity }))
    .toSorted((a, b) => b.value - a.value);
  const [first, second] = values;
  return first && first.value > 0 && (!second || first.value > second.value) ? first.name : undefined;
}
