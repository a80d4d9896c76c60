import { describe, expect, it } from "vitest";
import type { Milestone, Player, Run } from "../../api/types";
import type { Press } from "./ahead";
import {
  countWords,
  emptyRun,
  isCounted,
  isSetForNobody,
  markingOf,
  marksToSend,
  mostPoints,
  nextCriterion,
  nextOutcome,
  playerPlace,
  foundWords,
  pointsSoFar,
  verdict,
  runReducer,
  type RunState,
} from "./run";

const criterion = (
  ordinal: number,
  topPoints: number,
  rest: { floorPoints?: number; worth?: number } = {},
) => ({
  ordinal,
  name: `C${ordinal}`,
  topPoints,
  weight: 1,
  levels: [],
  worth: topPoints,
  ...rest,
});

const milestone = (kind: Milestone["kind"], ...criteria: Milestone["criteria"]): Milestone => ({
  id: "m",
  kind,
  shortName: "9",
  title: "Rope and pulley",
  appliesTo: [],
  version: 1,
  passRule: "one good try",
  criteria,
});

const press = (studentId: string): Press => ({
  attemptId: `a-${studentId}`,
  studentId,
  outcome: "PASS",
  evidence: "LIVE_ALONE",
});
const run = { queue: ["ana", "bo", "cy"], players: [], secondsPerStudent: 60 } as unknown as Run;
const started = runReducer(emptyRun, { type: "start", run });
const record = (state: RunState, studentId: string) =>
  runReducer(state, { type: "record", press: press(studentId) });

describe("a hearing run", () => {
  it("moves on by itself and remembers what was marked", () => {
    const after = record(record(started, "ana"), "bo");
    expect(after.queue).toEqual(["cy"]);
    expect(after.made.map((made) => made.studentId)).toEqual(["ana", "bo"]);
  });

  it("brings the last student back to the front when undone", () => {
    const undone = runReducer(record(record(started, "ana"), "bo"), { type: "undo" });
    expect(undone.queue).toEqual(["bo", "cy"]);
    expect(undone.made).toHaveLength(1);
    expect(runReducer(started, { type: "undo" })).toBe(started);
  });

  it("does not ask again for who was heard in this run when it is read anew", () => {
    expect(runReducer(record(started, "ana"), { type: "start", run }).queue).toEqual(["bo", "cy"]);
  });

  it("leaves out who is away, and calls last who came after all", () => {
    const away = runReducer(started, { type: "away", studentId: "ana", away: true });
    expect(away.queue).toEqual(["bo", "cy"]);
    const back = runReducer(away, { type: "away", studentId: "ana", away: false });
    expect(back.queue).toEqual(["bo", "cy", "ana"]);
    expect(runReducer(back, { type: "away", studentId: "ana", away: false })).toBe(back);
  });

  it("calls nobody whom somebody else heard, but lets go of nobody at the desk", () => {
    const heard = { type: "heardElsewhere" as const, studentIds: ["ana", "cy"] };
    expect(runReducer(started, heard)).toMatchObject({ queue: ["ana", "bo"], elsewhere: ["cy"] });
    expect(runReducer({ ...started, queue: [] }, heard).queue).toEqual([]);
  });

  it("goes to whoever is chosen, and around in both directions", () => {
    expect(runReducer(started, { type: "choose", studentId: "cy" }).queue).toEqual(["cy", "ana", "bo"]);
    expect(runReducer(started, { type: "move", step: 1 }).queue).toEqual(["bo", "cy", "ana"]);
    expect(runReducer(started, { type: "move", step: -1 }).queue).toEqual(["cy", "ana", "bo"]);
    const alone = { ...started, queue: ["ana"] };
    expect(runReducer(alone, { type: "move", step: 1 })).toBe(alone);
  });

  it("forgets half-given points and an open question when it moves on", () => {
    const marked = runReducer(started, { type: "mark", ordinal: 1, points: 3 });
    expect(marked.marks.get(1)).toBe(3);
    const asked = runReducer(marked, { type: "excuse", asking: true });
    expect(asked.excusing).toBe(true);
    const next = runReducer(asked, { type: "move", step: 1 });
    expect(next.marks.size).toBe(0);
    expect(next.excusing).toBe(false);
  });
});

describe("counted tries", () => {
  it("leave the queue as it is while the student stays, and let go when passed", () => {
    const stayed = runReducer(started, {
      type: "record",
      press: press("ana"),
      stays: true,
    });
    expect(stayed.queue).toEqual(["ana", "bo", "cy"]);
    const leave = { type: "leave" as const, attemptId: "a-ana", studentId: "ana" };
    expect(runReducer(stayed, leave).queue).toEqual(["bo", "cy"]);
  });

  it("keep a student whose mark was undone before the server answered that it was a pass", () => {
    const undone = runReducer(record(started, "ana"), { type: "undo" });
    const late = runReducer(undone, { type: "leave", attemptId: "a-ana", studentId: "ana" });
    expect(late.queue).toEqual(["ana", "bo", "cy"]);
  });
});

describe("marks", () => {
  const line = milestone("LINE");
  const check = milestone("TECHNIQUE_CHECK", criterion(1, 1), criterion(2, 1));
  const test = milestone("PLAYING_TEST", criterion(1, 5), criterion(2, 5));

  it("are given by ear, as seen or not, or in points", () => {
    expect(markingOf(line)).toBe("ear");
    expect(markingOf(check)).toBe("seen");
    expect(markingOf(test)).toBe("points");
  });

  it("of a check count as seen unless touched", () => {
    expect(marksToSend(check, new Map([[2, 0]]), "PASS")).toEqual([
      { ordinal: 1, points: 1 },
      { ordinal: 2, points: 0 },
    ]);
    expect(marksToSend(line, new Map(), "PASS")).toBeUndefined();
  });

  it("are left out where nobody said in what it was not good, and for who was away", () => {
    expect(marksToSend(check, new Map(), "NOT_YET")).toBeUndefined();
    expect(marksToSend(check, new Map([[1, 0]]), "NOT_YET")).toHaveLength(2);
    expect(marksToSend(check, new Map(), "ABSENT")).toBeUndefined();
  });

  it("decide and not the key, where there are points or something was missed", () => {
    expect(isCounted(line, undefined, "PASS")).toBe(false);
    expect(isCounted(check, marksToSend(check, new Map(), "PASS"), "PASS")).toBe(false);
    expect(isCounted(check, marksToSend(check, new Map([[1, 0]]), "PASS"), "PASS")).toBe(true);
    expect(isCounted(check, marksToSend(check, new Map([[1, 0]]), "NOT_YET"), "NOT_YET")).toBe(true);
    expect(isCounted(test, [{ ordinal: 1, points: 5 }], "PASS")).toBe(true);
  });

  it("of a test are sent as given, one digit for each criterion in turn", () => {
    expect(nextCriterion(test, new Map())).toBe(1);
    expect(nextCriterion(test, new Map([[1, 4]]))).toBe(2);
    const both = new Map([
      [1, 4],
      [2, 5],
    ]);
    expect(nextCriterion(test, both)).toBeUndefined();
    expect(marksToSend(test, both, "PASS")).toEqual([
      { ordinal: 1, points: 4 },
      { ordinal: 2, points: 5 },
    ]);
    expect(pointsSoFar(test, both)).toBe(9);
    expect(mostPoints(test)).toBe(10);
  });
});

describe("what another listener found", () => {
  it("is said of what is heard by ear, and not of what is scored", () => {
    expect(foundWords(false, "NOT_YET")).toBe(": not yet");
    expect(foundWords(true, "PASS")).toBe("");
  });
});

describe("the score of a test", () => {
  // Weights 2 and 1: most 9 points, a point of the first worth 18, of the second 9; 14 units make the whole.
  const weighted: Milestone = {
    ...milestone(
      "PLAYING_TEST",
      criterion(1, 5, { worth: 18, floorPoints: 2 }),
      criterion(2, 4, { worth: 9 }),
    ),
    scoring: { unitsPerPoint: 14, passUnits: 84 },
  };

  it("is told on the scale of the plain sum, rounded down", () => {
    // (18 · 4 + 9 · 1) / 14 = 5.78…
    expect(
      pointsSoFar(
        weighted,
        new Map([
          [1, 4],
          [2, 1],
        ]),
      ),
    ).toBe(5.7);
  });

  it("says what it means at once: a floor first, then the sum", () => {
    expect(verdict(weighted, new Map())).toBeUndefined();
    expect(verdict(weighted, new Map([[1, 1]]))).toBe("not passed: c1 under 2");
    expect(verdict(weighted, new Map([[1, 4]]))).toBeUndefined();
    expect(
      verdict(
        weighted,
        new Map([
          [1, 4],
          [2, 1],
        ]),
      ),
    ).toBe("not yet enough points");
    expect(
      verdict(
        weighted,
        new Map([
          [1, 4],
          [2, 2],
        ]),
      ),
    ).toBe("passes");
  });
});

describe("a whole section at once", () => {
  it("goes from passed to not yet to absent and back", () => {
    expect(["PASS", "NOT_YET", "ABSENT"].map((o) => nextOutcome(o as "PASS"))).toEqual([
      "NOT_YET",
      "ABSENT",
      "PASS",
    ]);
  });

  it("is counted in words, leaving out what is none", () => {
    expect(countWords(["PASS", "PASS", "NOT_YET"])).toBe("2 passed, 1 not yet");
    expect(countWords([])).toBe("");
  });

  it("names a player's division only where there is one", () => {
    const player = { instrumentName: "Violin", division: "Second" } as Player;
    expect(playerPlace(player)).toBe("Violin, Second");
    expect(playerPlace({ ...player, division: "" })).toBe("Violin");
  });
});

describe("a run that is empty", () => {
  const player = (state: Player["standing"]["state"]) => ({
    standing: { state, tries: 0, goodTries: 0, carriedOver: false },
  });

  it("is told apart by whether anybody has it set", () => {
    expect(isSetForNobody([player("NOT_SET"), player("NOT_SET")])).toBe(true);
    expect(isSetForNobody([player("NOT_SET"), player("PASSED")])).toBe(false);
  });
});
