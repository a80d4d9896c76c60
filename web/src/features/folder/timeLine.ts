import type { Folder, MeasuredOfStudent, WeekView } from "../../api/types";
import { addDays } from "../../app/days";
import type { MarkState } from "../../ui/markWords";

type Moment = Folder["instruments"][number]["moments"][number];

/** A mark of one thing in one week: the last that was heard of it then. */
export interface WeekMark {
  week: number;
  /** From the top, several in one week under one another. */
  place: number;
  name: string;
  state: MarkState;
  tries: number;
}

export const ROWS = [
  { name: "lines", kind: "LINE" },
  { name: "checks", kind: "TECHNIQUE_CHECK" },
  { name: "tests", kind: "PLAYING_TEST" },
  { name: "written", kind: "WRITTEN_CHECK" },
] as const;

/** The week a day lies in; the nearest one where it lies in none. */
export function weekAt(weeks: readonly WeekView[], day: string): number {
  const after = weeks.findIndex((week) => week.monday > day);
  return Math.max(0, after === -1 ? weeks.length - 1 : after - 1);
}

/** Where in the year a day lies, in weeks from its beginning. */
export function placeOf(weeks: readonly WeekView[], day: string): number {
  const week = weekAt(weeks, day);
  const monday = weeks[week]?.monday;
  if (monday === undefined) return 0;
  const into = [0, 1, 2, 3, 4, 5, 6].findIndex((n) => addDays(monday, n) >= day);
  return week + Math.min(Math.max(into === -1 ? 7 : into, 0) / 7, 1);
}

/** What was heard, week by week: of each thing one mark a week, with its tries of that week. */
export function marksOf(
  weeks: readonly WeekView[],
  moments: readonly Moment[],
  kind: Moment["kind"],
): WeekMark[] {
  const cells = new Map<string, WeekMark>();
  const perWeek = new Map<number, number>();
  moments
    .filter((moment) => moment.kind === kind)
    .forEach((moment) => {
      const week = weekAt(weeks, moment.on);
      const key = `${week} ${moment.name}`;
      const known = cells.get(key);
      const place = known?.place ?? perWeek.get(week) ?? 0;
      if (!known) perWeek.set(week, place + 1);
      const tried = moment.outcome === "PASS" || moment.outcome === "NOT_YET";
      cells.set(key, {
        week,
        place,
        name: moment.name,
        tries: (known?.tries ?? 0) + (tried ? 1 : 0),
        state:
          moment.passes || known?.state === "PASSED"
            ? "PASSED"
            : moment.outcome === "EXCUSED"
              ? "EXCUSED"
              : "TRIED",
      });
    });
  return [...cells.values()];
}

/** How many marks stand under one another where most do. */
export const tallest = (marks: readonly WeekMark[]) =>
  marks.reduce((most, mark) => Math.max(most, mark.place + 1), 1);

/** Which instrument was played from where to where, seats in several classes taken together. */
export function bandsOf(
  weeks: readonly WeekView[],
  seats: Folder["seats"],
  today: string,
): { name: string; from: number; to: number }[] {
  const names = [...new Set(seats.map((seat) => seat.instrumentName))];
  return names
    .map((name) => {
      const own = seats.filter((seat) => seat.instrumentName === name);
      const begins = own.map((seat) => seat.startsOn).toSorted()[0]!;
      const ends = own.some((seat) => seat.endsOn === undefined)
        ? today
        : own
            .map((seat) => seat.endsOn!)
            .toSorted()
            .at(-1)!;
      return { name, from: placeOf(weeks, begins), to: placeOf(weeks, ends) };
    })
    .toSorted((a, b) => a.from - b.from);
}

/** The amount measured most often, as a curve over the weeks; nothing for fewer than two. */
export function curveOf(weeks: readonly WeekView[], measured: readonly MeasuredOfStudent[]) {
  const most = measured
    .filter((one) => one.taken.length > 1)
    .toSorted((a, b) => b.taken.length - a.taken.length)[0];
  if (!most) return undefined;
  const taken = most.taken.toSorted((a, b) => (a.on < b.on ? -1 : 1));
  const top = Math.max(...taken.map((one) => one.value));
  return {
    name: most.name.toLowerCase(),
    last: `${taken.at(-1)!.value} ${most.unit}`,
    points: taken.map((one) => ({ at: placeOf(weeks, one.on), height: top > 0 ? one.value / top : 0 })),
  };
}
