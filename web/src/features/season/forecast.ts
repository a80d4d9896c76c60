import type { SectionForecast } from "../../api/types";
import { daysApart } from "../../app/days";

/** A span of days as it is drawn, from and to in percent of the line. */
export interface Drawn {
  left: number;
  width: number;
}

/** Where a day stands on a line from one day to another, in percent; its ends for days outside. */
export function placeOf(day: string, from: string, to: string): number {
  const all = daysApart(from, to);
  return all <= 0 ? 0 : Math.max(0, Math.min(100, (100 * daysApart(from, day)) / all));
}

/** The range of a forecast on a line; open to its right end where it is perhaps not this year. */
export function range(
  section: Pick<SectionForecast, "low" | "high">,
  from: string,
  to: string,
): Drawn | undefined {
  if (!section.low) return undefined;
  const left = placeOf(section.low, from, to);
  return { left, width: Math.max(1.5, (section.high ? placeOf(section.high, from, to) : 100) - left) };
}

/** "4 of 6 earlier ones held it": how many earlier ranges hold what is thought now. */
export function heldBy(section: SectionForecast): { held: number; of: number } | undefined {
  const { middle } = section;
  if (!middle || section.earlier.length < 2) return undefined;
  const before = section.earlier.slice(0, -1);
  const held = before.filter((e) => e.low && e.low <= middle && (!e.high || e.high >= middle)).length;
  return { held, of: before.length };
}
