import { v7 as newId } from "uuid";
import type { SchoolYear, YearEntry, YearRequest } from "../../api/types";
import { addDays, daysApart, moment } from "../../app/days";

export type EntryKind = YearEntry["kind"];
export type EntryDraft = YearEntry & { key: string };

/** A school year while it is typed. */
export interface YearDraft {
  id: string;
  name: string;
  firstDay: string;
  lastDay: string;
  /** As typed: "A B" or "A, B". */
  letters: string;
  entries: EntryDraft[];
}

export const kindWords: Record<EntryKind, string> = {
  BREAK: "Break",
  LOST_DAY: "Lost day",
  TESTING: "Testing",
  CONCERT: "Concert",
  FESTIVAL: "Festival",
};

export const draftOf = (year: SchoolYear): YearDraft => ({
  id: year.id,
  name: year.name,
  firstDay: year.firstDay,
  lastDay: year.lastDay,
  letters: year.rotation.join(" "),
  entries: year.entries.map((entry) => ({ ...entry, key: newId() })),
});

export const requestOf = (draft: YearDraft): YearRequest => ({
  name: draft.name,
  firstDay: draft.firstDay,
  lastDay: draft.lastDay,
  rotation: draft.letters.split(/[\s,]+/).filter(Boolean),
  entries: draft.entries.map(({ kind, name, firstDay, lastDay }) => ({ kind, name, firstDay, lastDay })),
});

const WEEKS = 52;

/** The year after: the same weekdays, no breaks yet. */
export const following = (year: SchoolYear): YearDraft => ({
  id: newId(),
  name: year.name.replace(/\d{4}/g, (digits) => String(Number(digits) + 1)),
  firstDay: addDays(year.firstDay, WEEKS * 7),
  lastDay: addDays(year.lastDay, WEEKS * 7),
  letters: year.rotation.join(" "),
  entries: [],
});

const mondayOf = (day: string) => addDays(day, -((moment(day).getUTCDay() + 6) % 7));

/** The Monday of each week from the first day to the last; none while the days make no year. */
export function mondaysOf(firstDay: string, lastDay: string): string[] {
  if (!firstDay || !lastDay || lastDay < firstDay || lastDay > addDays(firstDay, 400)) return [];
  const mondays: string[] = [];
  for (let monday = mondayOf(firstDay); monday <= lastDay; monday = addDays(monday, 7)) mondays.push(monday);
  return mondays;
}

/** What lies in a week. */
export const inWeek = (entries: readonly EntryDraft[], monday: string) =>
  entries.filter((entry) => entry.firstDay <= addDays(monday, 6) && entry.lastDay >= monday);

/** Which part of a week from Monday to Friday an entry takes: places of its first day and of the day after its last. */
export function shareOf(entry: EntryDraft, monday: string): [first: number, end: number] {
  const day = (on: string) => Math.max(0, Math.min(5, daysApart(monday, on)));
  const first = Math.min(4, day(entry.firstDay));
  return [first, Math.max(first + 1, day(addDays(entry.lastDay, 1)))];
}

/** What is put on weeks that were chosen: a break or testing over all of them, anything else on their first day. */
export function entryOver(
  kind: EntryKind,
  from: string,
  to: string,
  year: { firstDay: string; lastDay: string },
) {
  const long = kind === "BREAK" || kind === "TESTING";
  const firstDay = from < year.firstDay ? year.firstDay : from;
  const friday = addDays(to, 4);
  const lastDay = !long ? firstDay : friday > year.lastDay ? year.lastDay : friday;
  return { key: newId(), kind, name: kindWords[kind], firstDay, lastDay };
}

/** The place of the entry a refusal is about: "entries[2]". */
export function placeOf(field: string | undefined): number | undefined {
  const found = field?.match(/^entries\[(\d+)\]/);
  return found ? Number(found[1]) : undefined;
}
