import type { Chair } from "../../api/types";

/** The chairs of each section, as they come. */
export function sectionsOf(chairs: readonly Chair[]): Chair[][] {
  const sections = new Map<string, Chair[]>();
  chairs.forEach((chair) => {
    const key = `${chair.instrument}/${chair.division}`;
    sections.set(key, [...(sections.get(key) ?? []), chair]);
  });
  return [...sections.values()];
}

/** One chair to the place of another; the rest close up. The same list where there is no such place. */
export function moveTo<T>(order: readonly T[], from: number, to: number): readonly T[] {
  if (from === to || from < 0 || to < 0 || from >= order.length || to >= order.length) return order;
  const next = [...order];
  next.splice(to, 0, ...next.splice(from, 1));
  return next;
}
