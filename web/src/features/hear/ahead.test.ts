import { describe, expect, it } from "vitest";
import type { Outcome, Outlook, Player, Recorded, Standing } from "../../api/types";
import {
  firstAnswers,
  shownAfter,
  shownOf,
  staysForAnotherTry,
  visitOf,
  withAnswers,
  withoutAnswer,
  type Press,
} from "./ahead";

const standing: Standing = { state: "SET", tries: 0, carriedOver: true, goodTries: 0 };
const outlook = (passes: string[], triesAVisit = 1): Outlook => ({
  passes,
  counting: ["LIVE_ALONE", "LIVE_WITH_SECTION"],
  triesAVisit,
});
const oneGood = outlook(["G", "NG", "NNG"]);
/** Two of the last three, as the server writes it. */
const twoOfThree = outlook(["GG", "GNG", "NGG"], 3);

let ids = 0;
const press = (outcome: Outcome, more: Partial<Press> = {}): Press => ({
  attemptId: `a${ids++}`,
  studentId: "ana",
  outcome,
  evidence: "LIVE_ALONE",
  ...more,
});
const good = () => press("PASS");
const notYet = () => press("NOT_YET");

describe("what is shown before the server has answered", () => {
  it.each([
    ["a good try where one is enough", oneGood, [good()], "PASSED", 1],
    ["not yet", oneGood, [notYet()], "TRIED", 1],
    ["not yet, then good", oneGood, [notYet(), good()], "PASSED", 2],
    ["one of two", twoOfThree, [good()], "TRIED", 1],
    ["two with a miss between", twoOfThree, [good(), notYet(), good()], "PASSED", 3],
    ["absent", oneGood, [press("ABSENT")], "SET", 0],
    ["excused", oneGood, [press("EXCUSED")], "EXCUSED", 0],
    ["a substitute", outlook(["G"]), [press("PASS", { evidence: "SUBSTITUTE" })], "TRIED", 1],
    ["by a partner who does not count", oneGood, [press("PASS", { evidence: "PARTNER_CHECK" })], "TRIED", 1],
    ["not in reach", outlook([]), [good(), good(), good()], "TRIED", 3],
  ] as const)("%s", (_, ahead, presses, state, tries) => {
    const shown = shownAfter({ standing, outlook: ahead }, presses);
    expect([shown.state, shown.tries]).toEqual([state, tries]);
    expect(shown.carriedOver).toBe(state !== "PASSED" && state !== "EXCUSED");
  });

  it("shows a substitute that counts as one", () => {
    const ahead: Outlook = { passes: ["G"], counting: ["SUBSTITUTE"], triesAVisit: 1 };
    expect(shownAfter({ standing, outlook: ahead }, [press("PASS", { evidence: "SUBSTITUTE" })]).state).toBe(
      "PASSED_BY_SUBSTITUTE",
    );
  });

  it("keeps a pass, whatever is heard after it", () => {
    const passed = { standing: { ...standing, state: "PASSED" as const }, outlook: outlook([""]) };
    for (const later of [notYet(), press("EXCUSED"), press("ABSENT")]) {
      expect(shownAfter(passed, [later]).state).toBe("PASSED");
    }
    expect(shownAfter({ standing, outlook: oneGood }, [good(), notYet()]).state).toBe("PASSED");
  });

  it("says that a result is on its way where points decide", () => {
    const shown = shownAfter({ standing, outlook: oneGood }, [press("PASS", { counted: true })]);
    expect(shown).toMatchObject({ state: "TRIED", onItsWay: true });
    expect(shownAfter({ standing, outlook: oneGood }, [notYet()]).onItsWay).toBe(false);
  });
});

describe("answers of the server", () => {
  const players = [{ studentId: "ana", standing, outlook: twoOfThree }] as Player[];
  const recorded = (press: Press, state: Standing["state"], passes: string[]) =>
    ({
      id: press.attemptId,
      studentId: "ana",
      standing: { ...standing, state, tries: 1 },
      outlook: outlook(passes, 3),
    }) as Recorded;

  it("take the place of what was shown, and marks made since are added to them", () => {
    const [one, two] = [good(), good()];
    const start = firstAnswers(players);
    expect(shownOf(start, [one], "ana")?.state).toBe("TRIED");
    const answered = withAnswers(start, [recorded(one, "TRIED", ["G", "NG"])]);
    expect(shownOf(answered, [one], "ana")).toMatchObject({ state: "TRIED", tries: 1 });
    expect(shownOf(answered, [one, two], "ana")).toMatchObject({ state: "PASSED", tries: 2 });
  });

  it("are as if not given when their mark is undone", () => {
    const one = good();
    const answered = withAnswers(firstAnswers(players), [recorded(one, "PASSED", [""])]);
    const undone = withoutAnswer(answered, "ana", one.attemptId);
    expect(shownOf(undone, [], "ana")?.state).toBe("SET");
  });

  it("of somebody who is not in the run are left aside", () => {
    const stranger = { ...recorded(good(), "PASSED", [""]), studentId: "zoe" };
    expect(shownOf(withAnswers(firstAnswers(players), [stranger]), [], "zoe")).toBeUndefined();
    expect(withoutAnswer(firstAnswers(players), "zoe", "x").size).toBe(1);
  });
});

describe("a visit", () => {
  const answers = firstAnswers([
    { studentId: "ana", standing, outlook: twoOfThree },
    { studentId: "bo", standing, outlook: oneGood },
  ] as Player[]);
  const stays = (...made: Press[]) => staysForAnotherTry(answers, made, visitOf(made, "ana"));

  it("lasts until it is passed or its tries are used up", () => {
    expect(stays(good())).toBe(true);
    expect(stays(good(), good())).toBe(false);
    expect(stays(good(), notYet())).toBe(true);
    expect(stays(notYet(), notYet(), notYet())).toBe(false);
  });

  it("ends with absent, and where one try is a visit", () => {
    expect(stays(press("ABSENT"))).toBe(false);
    const bo = press("NOT_YET", { studentId: "bo" });
    expect(staysForAnotherTry(answers, [bo], [bo])).toBe(false);
    expect(staysForAnotherTry(answers, [], [])).toBe(false);
  });

  it("begins anew after somebody else was heard", () => {
    const made = [notYet(), notYet(), press("PASS", { studentId: "bo" }), notYet()];
    expect(visitOf(made, "ana")).toHaveLength(1);
    expect(staysForAnotherTry(answers, made, visitOf(made, "ana"))).toBe(true);
  });
});
