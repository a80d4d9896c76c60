import type { Evidence, Outcome, Outlook, Player, Recorded, Standing } from "../../api/types";

/** Where a student stands by the server's word, and what it said the next tries would mean. */
interface Position {
  standing: Standing;
  outlook: Outlook;
}

/** The server's word, and the mark it answers; without one it is from the beginning of the run. */
interface Answer extends Position {
  attemptId?: string;
}

/** What the server said of each student, oldest first. */
export type Answers = ReadonlyMap<string, readonly Answer[]>;

/** A mark made in this run. */
export interface Press {
  attemptId: string;
  studentId: string;
  outcome: Outcome;
  evidence: Evidence;
  /** Whether the points given beside it decide what came of it, which the server counts. */
  counted?: boolean;
}

/** A standing as it is shown at once. */
export interface Shown extends Standing {
  /** Heard, and the server counts what it makes. */
  onItsWay?: boolean;
}

export const firstAnswers = (players: readonly Player[]): Answers =>
  new Map(players.map(({ studentId, standing, outlook }) => [studentId, [{ standing, outlook }]]));

type Said = Pick<Recorded, "studentId" | "standing" | "outlook"> & { id?: string };

/** @param said of the milestone of the run; with the id of the mark it answers, where it answers one */
export function withAnswers(answers: Answers, said: readonly Said[]): Answers {
  const next = new Map(answers);
  said.forEach(({ id, studentId, standing, outlook }) => {
    const known = next.get(studentId);
    if (known) next.set(studentId, [...known, { attemptId: id, standing, outlook }]);
  });
  return next;
}

/** As if the server had not answered this mark: it was undone. */
export function withoutAnswer(answers: Answers, studentId: string, attemptId: string): Answers {
  const known = answers.get(studentId);
  return known
    ? new Map(answers).set(
        studentId,
        known.filter((answer) => answer.attemptId !== attemptId),
      )
    : answers;
}

const isTry = (outcome: Outcome) => outcome === "PASS" || outcome === "NOT_YET";

/** The tries as the outlook writes them; a mark the server counts stands for neither. */
const letter = (press: Press) => (press.counted ? "?" : press.outcome === "PASS" ? "G" : "N");

/** Where marks not yet answered leave a student, looked up in what the server said they would mean. */
export function shownAfter({ standing, outlook }: Position, presses: readonly Press[]): Shown {
  let shown: Shown = standing;
  let row = "";
  for (const press of presses) {
    if (press.outcome === "EXCUSED" && !isPassed(shown)) {
      shown = { ...shown, state: "EXCUSED", carriedOver: false };
    }
    if (!isTry(press.outcome)) continue;
    const counts = outlook.counting.includes(press.evidence);
    if (counts) row += letter(press);
    const passed = outlook.passes.some((pass) => row.startsWith(pass));
    shown = {
      ...shown,
      tries: shown.tries + 1,
      goodTries: shown.goodTries + (counts && letter(press) === "G" ? 1 : 0),
      state: isPassed(shown) ? shown.state : passed ? passedBy(press) : "TRIED",
      carriedOver: shown.carriedOver && !passed,
      onItsWay: !isPassed(shown) && !passed && row.includes("?"),
    };
  }
  return shown;
}

const passedBy = (press: Press) => (press.evidence === "SUBSTITUTE" ? "PASSED_BY_SUBSTITUTE" : "PASSED");

export const isPassed = ({ state }: Standing) => state === "PASSED" || state === "PASSED_BY_SUBSTITUTE";

/** Of a student of the run; undefined for anybody else. */
export function shownOf(answers: Answers, made: readonly Press[], studentId: string): Shown | undefined {
  const known = answers.get(studentId);
  const latest = known?.at(-1);
  if (!known || !latest) return undefined;
  const answered = new Set(known.map((answer) => answer.attemptId));
  return shownAfter(
    latest,
    made.filter((press) => press.studentId === studentId && !answered.has(press.attemptId)),
  );
}

/** Of everybody in the run. */
export const standingsOf = (answers: Answers, made: readonly Press[]): ReadonlyMap<string, Shown> =>
  new Map(
    [...answers.keys()].flatMap((id) => {
      const shown = shownOf(answers, made, id);
      return shown ? [[id, shown] as const] : [];
    }),
  );

/**
 * Whether a student stays after the last of these tries: until it is passed or a visit's tries are used up, as the
 * server said.
 *
 * @param visit the tries of this visit, the last one among them
 */
export function staysForAnotherTry(
  answers: Answers,
  made: readonly Press[],
  visit: readonly Press[],
): boolean {
  const last = visit.at(-1);
  const shown = last && shownOf(answers, made, last.studentId);
  const outlook = last && answers.get(last.studentId)?.at(-1)?.outlook;
  if (!shown || !outlook || !isTry(last.outcome)) return false;
  return !isPassed(shown) && visit.filter((press) => isTry(press.outcome)).length < outlook.triesAVisit;
}

/** The marks of the student at the desk since the one before left it. */
export function visitOf(made: readonly Press[], studentId: string): readonly Press[] {
  return made.slice(made.findLastIndex((press) => press.studentId !== studentId) + 1);
}
