import { weekday } from "../../app/days";
import type { TestDay } from "../../api/types";
import { counted } from "../../ui/words";

/** How many are heard in how many periods, and who waits. */
export function dayWords(day: TestDay): string {
  const students = day.periods
    .flatMap((period) => period.slots)
    .reduce((sum, slot) => sum + slot.students.length, 0);
  if (students === 0) return day.makeUp.length > 0 ? "nobody to hear but the make-up" : "everybody is heard";
  const periods = `${counted(students, "student")} in ${counted(day.periods.length, "period")}`;
  return day.makeUp.length > 0 ? `${periods} and a make-up slot` : periods;
}

/** When it ends, and whether it could end earlier. */
export function endWords(day: TestDay): string {
  const last = day.periods.at(-1);
  if (!last) return "";
  const when = `Ends ${weekday(last.on)}, period ${last.period}`;
  return day.proven
    ? `${when}; it cannot end earlier.`
    : `${when}; perhaps it could end earlier, not every way was tried.`;
}

/** What hearing more of them together would bring; empty where it brings nothing. */
export const soonerWords = ({ sooner, makeUp }: TestDay): string =>
  sooner
    ? `${sooner.together === 2 ? "In pairs" : `In groups of ${sooner.together}`} it takes ${counted(sooner.periods, "period")}` +
      (makeUp.some((one) => one.because === undefined) ? " and leaves fewer without room." : ".")
    : "";

const reasons: Record<NonNullable<TestDay["makeUp"][number]["because"]>, string> = {
  ABSENT: "absent today",
  EXCUSED: "excused",
  RESTING: "rests: pain reported",
  PASSED: "passed",
  NOT_SET: "not set",
  TRIED_TODAY: "heard today",
};

export const makeUpReason = (because: TestDay["makeUp"][number]["because"]): string =>
  because === undefined ? "no room in the coming weeks" : reasons[because];

/** Who stands at the desk next: the first slot of today, else nobody. */
export const nextToHear = (day: TestDay) => day.periods.find((period) => period.today)?.slots[0];

/** With a student put into a period by hand, or left to the plan again where the period is empty. */
export function tiedWith(
  tied: Readonly<Record<string, string>>,
  studentId: string,
  periodId: string,
): Record<string, string> {
  const others = Object.fromEntries(Object.entries(tied).filter(([id]) => id !== studentId));
  return periodId === "" ? others : { ...others, [studentId]: periodId };
}
