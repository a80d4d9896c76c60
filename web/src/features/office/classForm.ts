import { v7 as newId } from "uuid";
import type { Bell, ClassRequest, ClassView, MeetingTime } from "../../api/types";

export const shapes: Record<ClassRequest["shape"], string> = {
  MIXED_BEGINNERS: "Mixed beginners",
  LIKE_INSTRUMENT: "Like instruments",
  FULL_ENSEMBLE: "Full ensemble",
};

export type Weekday = MeetingTime["weekdays"][number];

export const weekdays: readonly [Weekday, string][] = [
  ["MONDAY", "Mo"],
  ["TUESDAY", "Tu"],
  ["WEDNESDAY", "We"],
  ["THURSDAY", "Th"],
  ["FRIDAY", "Fr"],
];

/** One time of meeting while it is typed. */
export interface TimeDraft extends Omit<MeetingTime, "period" | "minutes"> {
  key: string;
  period: string;
  minutes: string;
}

export interface WantedDraft {
  key: string;
  instrument: string;
  division: string;
  students: string;
}

/** A class while it is typed. */
export interface ClassDraft {
  id: string;
  name: string;
  campus: string;
  shape: ClassRequest["shape"];
  meets: TimeDraft[];
  wanted: WantedDraft[];
}

export const newTime = (bells: readonly Bell[], before?: TimeDraft): TimeDraft => {
  const bell = bells[0];
  return {
    key: newId(),
    weekdays: [],
    letters: [],
    period: before?.period ?? String(bell?.period ?? 1),
    startsAt: before?.startsAt ?? bell?.startsAt ?? "09:00",
    minutes: before?.minutes ?? String(bell?.minutes ?? 45),
    campus: "",
  };
};

export const newClass = (bells: readonly Bell[]): ClassDraft => ({
  id: newId(),
  name: "",
  campus: "",
  shape: "MIXED_BEGINNERS",
  meets: [newTime(bells)],
  wanted: [],
});

export const draftOfClass = (one: ClassView): ClassDraft => ({
  id: one.id,
  name: one.name,
  campus: one.campus,
  shape: one.shape,
  meets: one.meets.map((time) => ({
    ...time,
    key: newId(),
    period: String(time.period),
    minutes: String(time.minutes),
  })),
  wanted: one.sections
    .filter((section) => section.wanted !== undefined)
    .map((section) => ({
      key: newId(),
      instrument: section.instrument,
      division: section.division,
      students: String(section.wanted),
    })),
});

export const requestOfClass = (draft: ClassDraft): ClassRequest => ({
  name: draft.name,
  campus: draft.campus,
  shape: draft.shape,
  meets: draft.meets.map(({ weekdays: days, letters, period, startsAt, minutes, campus }) => ({
    weekdays: days,
    letters,
    period: Number(period),
    startsAt,
    minutes: Number(minutes),
    campus,
  })),
  wanted: draft.wanted
    .filter((one) => one.instrument && one.students !== "")
    .map(({ instrument, division, students }) => ({ instrument, division, students: Number(students) })),
});

/** In or out of a set of days. */
export const toggled = <T>(of: readonly T[], one: T): T[] =>
  of.includes(one) ? of.filter((other) => other !== one) : [...of, one];

/** A period that is chosen brings its times along, where the year knows them. */
export function withPeriod(
  time: TimeDraft,
  period: string,
  campus: string,
  bells: readonly Bell[],
): TimeDraft {
  const known = bells.filter((bell) => String(bell.period) === period);
  const bell =
    known.find((one) => one.campus.toLowerCase() === (time.campus || campus).toLowerCase()) ??
    known.find((one) => one.campus === "");
  return { ...time, period, ...(bell && { startsAt: bell.startsAt, minutes: String(bell.minutes) }) };
}

/** The place of the time a refusal is about, and which part of it: "meets[1].minutes". */
export function timePlaceOf(field: string | undefined): { place: number; part: string } | undefined {
  const found = field?.match(/^meets\[(\d+)\]\.?(.*)$/);
  return found ? { place: Number(found[1]), part: found[2] ?? "" } : undefined;
}
