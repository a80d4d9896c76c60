import type { TestResults } from "../../api/types";
import { counted } from "../../ui/words";

/** "8 heard, 6 passed · passes at 14 of 20 and no floor missed". */
export function standWords(results: TestResults): string {
  const heard = `${results.heard} heard, ${results.passed} passed`;
  const unheard = results.unheard > 0 ? `, ${results.unheard} not yet heard` : "";
  const floors = results.criteria.some((one) => one.floor !== undefined) ? " and no floor missed" : "";
  const rule = results.mark === undefined ? "" : ` · passes at ${results.mark} of ${results.top}${floors}`;
  return heard + unheard + rule;
}

/** Which criterion is weakest, here and where else; empty where none is. */
export function weakestWords(results: TestResults): string {
  const weakest = results.criteria.find((one) => one.ordinal === results.weakest);
  if (!weakest) return "";
  const too = results.weakestToo.map((name) => name.toLowerCase());
  const where =
    too.length === 0
      ? "here"
      : too.length === 1
        ? `here and in the ${too[0]}`
        : `here, and in the ${too.slice(0, -1).join(", ")} and ${too.at(-1)}`;
  return `${weakest.name} is weakest ${where}.`;
}

/** Why somebody has not passed; empty where they have. */
export function shortWords(student: TestResults["students"][number]): string {
  if (student.passed) return "";
  const parts = [];
  if (student.missing > 0) parts.push(`${counted(student.missing, "point")} short`);
  if (student.underFloor.length > 0) {
    parts.push(`${student.underFloor.join(" and ").toLowerCase()} below its floor, whatever the total`);
  }
  return parts.join(" · ");
}

/** How far two listeners agree beyond chance, honestly wide. */
export function kappaWords(pair: TestResults["listeners"][number]): string {
  if (pair.kappa === undefined || pair.low === undefined || pair.high === undefined) {
    return "too little spread to tell from chance";
  }
  const few =
    pair.students < 10
      ? `, few students: ${round(pair.low)} to ${round(pair.high)}`
      : `, ${round(pair.low)} to ${round(pair.high)}`;
  return `${round(pair.kappa)} beyond chance (kappa, linear weights)${few}`;
}

const round = (figure: number) => figure.toFixed(2);

/** How much stricter one of them is; empty where neither is. */
export function stricterWords(pair: TestResults["listeners"][number]): string {
  const by = Math.abs(pair.difference);
  if (by < 0.05) return "";
  const stricter = pair.difference > 0 ? pair.second : pair.first;
  return `${stricter} gives ${by.toFixed(1)} points less, on average`;
}

/** The students who have not passed first, those short of most before the others. */
export const byNeed = (students: TestResults["students"]): TestResults["students"] =>
  students.toSorted((one, other) => Number(one.passed) - Number(other.passed) || one.points - other.points);

/** What all tries count, where that is not what the last one scored. */
export const countsWords = (student: TestResults["students"][number], top: number): string =>
  student.countedPercent === undefined ||
  Math.abs(student.countedPercent - (100 * student.points) / top) < 0.6
    ? ""
    : `counts ${student.countedPercent} %.`;

export const distributionWords = (one: TestResults["distribution"][number]): string =>
  `${counted(one.points, "point")}: ${one.students} of the section, ${one.ofClass} of the class`;

export const comparedWords = (compared: NonNullable<TestResults["compared"]>): string =>
  `${counted(compared.students, "student")} heard on two days: ${compared.better} better, ${compared.worse} worse.`;

/** A bracket under every measure that failed, labelled with how many students; by index in the line. */
export function failedBrackets(
  failed: TestResults["failed"],
  measures: readonly { number: number }[],
): { measure: number; label: string; spot: boolean }[] {
  const students = new Map<number, number>();
  failed.forEach((one) => {
    if (one.measure !== undefined) {
      students.set(one.measure, Math.max(students.get(one.measure) ?? 0, one.students));
    }
  });
  return measures.flatMap(({ number }, measure) =>
    students.has(number) ? [{ measure, label: String(students.get(number)), spot: false }] : [],
  );
}
