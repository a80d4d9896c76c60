import { v7 as newId } from "uuid";
import type { Bell, ProposedEntry, SchoolYear, YearEntry, YearRequest } from "../../api/types";
import { addDays, daysApart, moment } from "../../app/days";

export type EntryKind = YearEntry["kind"];
export type EntryDraft = YearEntry & { key: string };

/** A period of the day while it is typed; the short two empty where it does not meet on short days. */
export interface BellDraft {
  key: string;
  campus: string;
  period: string;
  startsAt: string;
  minutes: string;
  shortStartsAt: string;
  shortMinutes: string;
}

/** A school year while it is typed. */
export interface YearDraft {
  id: string;
  name: string;
  firstDay: string;
  lastDay: string;
  /** As typed: "A B" or "A, B". */
  letters: string;
  entries: EntryDraft[];
  bells: BellDraft[];
}

export const kindWords: Record<EntryKind, string> = {
  BREAK: "Break",
  LOST_DAY: "Lost day",
  TESTING: "Testing",
  CONCERT: "Concert",
  FESTIVAL: "Festival",
  ASSEMBLY: "Assembly",
  SHORT_DAY: "Short day",
  MARKING_PERIOD: "Marking period",
};

/** What may take the place of some periods rather than of a whole day. */
export const takesPeriods = (kind: EntryKind) => kind === "ASSEMBLY" || kind === "TESTING";

/** "1, 3" as typed. */
export const periodsOf = (typed: string): number[] =>
  typed
    .split(/[^\d]+/)
    .filter(Boolean)
    .map(Number);

export const draftOf = (year: SchoolYear): YearDraft => ({
  id: year.id,
  name: year.name,
  firstDay: year.firstDay,
  lastDay: year.lastDay,
  letters: year.rotation.join(" "),
  entries: year.entries.map((entry) => ({ ...entry, key: newId() })),
  bells: year.bells.map(bellDraftOf),
});

const bellDraftOf = (bell: Bell): BellDraft => ({
  key: newId(),
  campus: bell.campus,
  period: String(bell.period),
  startsAt: bell.startsAt,
  minutes: String(bell.minutes),
  shortStartsAt: bell.shortStartsAt ?? "",
  shortMinutes: bell.shortMinutes === undefined ? "" : String(bell.shortMinutes),
});

/** The period after those there are, at the same campus. */
export function nextBell(bells: readonly BellDraft[]): BellDraft {
  const last = bells.at(-1);
  return {
    key: newId(),
    campus: last?.campus ?? "",
    period: String(last ? Number(last.period) + 1 : 1),
    startsAt: "",
    minutes: last?.minutes ?? "45",
    shortStartsAt: "",
    shortMinutes: last?.shortMinutes ?? "",
  };
}

export const requestOf = (draft: YearDraft): YearRequest => ({
  name: draft.name,
  firstDay: draft.firstDay,
  lastDay: draft.lastDay,
  rotation: draft.letters.split(/[\s,]+/).filter(Boolean),
  entries: draft.entries.map(({ kind, name, firstDay, lastDay, periods }) => ({
    kind,
    name,
    firstDay,
    lastDay,
    ...(takesPeriods(kind) && periods?.length ? { periods } : {}),
  })),
  bells: draft.bells
    .filter((bell) => bell.period !== "" && bell.startsAt !== "")
    .map((bell) => ({
      campus: bell.campus,
      period: Number(bell.period),
      startsAt: bell.startsAt,
      minutes: Number(bell.minutes),
      ...(bell.shortStartsAt && bell.shortMinutes
        ? { shortStartsAt: bell.shortStartsAt, shortMinutes: Number(bell.shortMinutes) }
        : {}),
    })),
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
  bells: year.bells.map(bellDraftOf),
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
  const long = kind === "BREAK" || kind === "TESTING" || kind === "MARKING_PERIOD";
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

/** The place of the period a refusal is about: "bells[2]". */
export function bellPlaceOf(field: string | undefined): number | undefined {
  const found = field?.match(/^bells\[(\d+)\]/);
  return found ? Number(found[1]) : undefined;
}

/** The same entry is there already. */
export const isIn = (entries: readonly EntryDraft[], one: ProposedEntry) =>
  entries.some(
    (entry) => entry.name === one.name && entry.firstDay === one.firstDay && entry.lastDay === one.lastDay,
  );

/** With those of a calendar file that were chosen, by day. */
export const withProposals = (
  entries: readonly EntryDraft[],
  chosen: readonly (ProposedEntry & { kind: EntryKind })[],
): EntryDraft[] =>
  [
    ...entries,
    ...chosen.map(({ kind, name, firstDay, lastDay }) => ({ key: newId(), kind, name, firstDay, lastDay })),
  ].toSorted((a, b) => a.firstDay.localeCompare(b.firstDay));
