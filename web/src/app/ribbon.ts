import type { WeekView, YearView } from "../api/types";
import { addDays } from "./days";

/** The place of the week a day falls in; the nearest end for days outside the year. */
export function weekIndex(year: YearView, day: string): number {
  const at = year.weeks.findLastIndex((week) => week.monday <= day);
  return Math.max(0, at);
}

/** The week looked at: the one in the address, else the present one. */
export function chosenWeek(year: YearView, week: string | undefined): WeekView {
  return year.weeks[weekIndex(year, week ?? year.today)]!;
}

/** The day a screen shows: today in the present week, else the last school day of the week chosen. */
export function chosenDay(year: YearView, week: string | undefined): string {
  const shown = chosenWeek(year, week);
  return shown.monday === chosenWeek(year, undefined).monday ? year.today : addDays(shown.monday, 4);
}

/** Runs of whole weeks without school, by place of their first and last week. */
export function restsOf(year: YearView): { from: number; to: number }[] {
  const rests: { from: number; to: number }[] = [];
  year.weeks.forEach((week, i) => {
    if (week.schoolDays > 0) return;
    const last = rests.at(-1);
    if (last && last.to === i - 1) last.to = i;
    else rests.push({ from: i, to: i });
  });
  return rests;
}

/** Where each flag's label stands: after its flag, before it, or nowhere when it would run into another. */
export function labelEnds(
  at: readonly number[],
  names: readonly string[],
  width: number,
): ("start" | "end" | "none")[] {
  const letter = 6;
  const taken: [from: number, to: number][] = [];
  const free = (from: number, to: number) =>
    from >= 0 && to <= width && taken.every(([a, b]) => to + letter <= a || from >= b + letter);
  return at.map((x, i) => {
    const long = (names[i]?.length ?? 0) * letter;
    const sides: ["start" | "end", number, number][] = [
      ["start", x + 4, x + 8 + long],
      ["end", x - 8 - long, x - 3],
    ];
    const side = sides.find(([, from, to]) => free(from, to));
    if (!side) return "none";
    taken.push([side[1], side[2]]);
    return side[0];
  });
}
