import { act, cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Milestone, Outlook, Player, Run } from "../../api/types";
import { draw, server, type Sent } from "../../test/render";
import { CheckGrid } from "./CheckGrid";
import { outbox } from "./outbox";
import { useRun } from "./useRun";

const player = (studentId: string, name: string, outlook = once): Player => ({
  outlook,
  studentId,
  name,
  classId: "c1",
  instrument: "trumpet",
  instrumentName: "Trumpet",
  division: "",
  alsoIn: [],
  faults: [],
  standing: { state: "SET", tries: 0, carriedOver: false, goodTries: 0 },
});

const once: Outlook = { passes: ["G"], counting: ["LIVE_WITH_SECTION"], triesAVisit: 1 };
const twoOfThree: Outlook = { ...once, passes: ["GG", "GNG", "NGG"], triesAVisit: 3 };

const milestone = (rest: Partial<Milestone>): Milestone => ({
  id: "m1",
  kind: "TECHNIQUE_CHECK",
  shortName: "Hold",
  title: "Trumpet: the left hand carries",
  appliesTo: ["trumpet"],
  version: 3,
  passRule: "every criterion seen in one try",
  criteria: [
    { ordinal: 1, name: "Carries", topPoints: 1, weight: 1, levels: [], worth: 2 },
    { ordinal: 2, name: "Wrist straight", topPoints: 1, weight: 1, levels: [], worth: 2 },
  ],
  ...rest,
});

const run = (rest: Partial<Milestone> = {}, outlook = once): Run => ({
  milestone: milestone(rest),
  countInMeasures: 1,
  secondsPerStudent: 40,
  queue: ["ana", "bo"],
  players: [player("ana", "Ana Reed", outlook), player("bo", "Bo Lund", outlook)],
});

function Stage({ of }: { of: Run }) {
  const live = useRun(of);
  return <CheckGrid run={of} live={live} onBack={() => {}} />;
}

const variants = {
  offered: [{ name: "Pistol grip", note: "a small hand", reviewWeeks: 8 }],
  inUse: [
    { id: "v", studentId: "bo", name: "Pistol grip", reviewOn: "2026-09-21", overdue: true, steps: [] },
  ],
};

const check = {
  milestoneId: "m1",
  before: [],
  check: {
    title: "Trumpet: the left hand carries",
    topic: "LEFT_HAND",
    appliesTo: [],
    steps: [],
    cues: [],
    criteria: [],
    mustSee: [],
    selfTest: "",
    syllables: [],
    faults: [{ sign: "Neck forward", remedies: ["Sit tall", "Stand higher"] }],
    cautions: ["Pain: stop."],
    variants: [],
    tones: [],
  },
};

let sent: Sent[];
beforeEach(() => {
  localStorage.clear();
  sent = server({
    "GET /api/checks/m1/variants": variants,
    "GET /api/checks/m1/helped": { most: [], helped: [] },
    "GET /api/checks/m1": check,
    "POST /api/": [],
    "DELETE /api/": undefined,
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const posted = (path: string) => sent.filter((s) => s.method === "POST" && s.path.startsWith(path));
const press = (key: string) => fireEvent.keyDown(window, { key });
const sending = () =>
  act(() => vi.waitFor(() => expect(outbox.snapshot()).toMatchObject({ waiting: [], refused: [] })));

describe("a check on a whole section", () => {
  it("takes no tap as fine and sends what was seen, with the version on the screen", async () => {
    draw(<Stage of={run()} />);
    fireEvent.click(screen.getByRole("button", { name: "Bo Lund: Wrist straight" }));
    expect(screen.getByText("1 of 2 seen")).toBeTruthy();
    expect(screen.getByRole("button", { name: /^Record 1 passed, 1 not yet/ })).toBeTruthy();
    press("Enter");
    await sending();
    const { attempts } = posted("/api/attempts/batch")[0]!.body as { attempts: Record<string, unknown>[] };
    expect(attempts.map((a) => [a.studentId, a.outcome, a.milestoneVersion])).toEqual([
      ["ana", "PASS", 3],
      ["bo", "NOT_YET", 3],
    ]);
    expect(attempts[1]!.marks).toEqual([
      { ordinal: 1, points: 1 },
      { ordinal: 2, points: 0 },
    ]);
    expect(screen.getByText("Nobody is left to mark.")).toBeTruthy();
  });

  it("is worked by keys alone", () => {
    draw(<Stage of={run()} />);
    press("2");
    press("ArrowDown");
    press("a");
    expect(
      screen.getByRole("button", { name: "Ana Reed: Wrist straight" }).getAttribute("aria-pressed"),
    ).toBe("true");
    expect(screen.getByText("absent", { selector: "th span" })).toBeTruthy();
    press("1");
    expect(screen.queryByText("absent", { selector: "th span" })).toBeNull();
    expect(screen.getAllByText("1 of 2", { selector: "td" })).toHaveLength(2);
    press("ArrowUp");
    press("ArrowRight");
    press(" ");
    expect(
      screen.getByRole("button", { name: "Ana Reed: Wrist straight" }).getAttribute("aria-pressed"),
    ).toBe("false");
  });

  it("stays with the section where tries are counted, and shows each try", async () => {
    draw(<Stage of={run({ passRule: "2 of the last 3 tries", passK: 2, passN: 3 }, twoOfThree)} />);
    expect(screen.getByText("Try 1: tap the fault you see")).toBeTruthy();
    press("1");
    press("Enter");
    await sending();
    expect(screen.getByText("Try 2: tap the fault you see")).toBeTruthy();
    expect(screen.getByRole("img", { name: "tries now: not good" })).toBeTruthy();
    expect(screen.getByRole("img", { name: "tries now: good" })).toBeTruthy();
    expect(screen.getByRole("button", { name: /^Record try 2: 2 good/ })).toBeTruthy();
    press("Enter");
    await sending();
    expect(screen.queryByRole("rowheader", { name: /Bo Lund/ })).toBeNull();
    expect(screen.getByRole("rowheader", { name: /Ana Reed/ })).toBeTruthy();
  });

  it("says how many were seen where criteria are counted, and leaves the verdict to the server", () => {
    draw(<Stage of={run({ passRule: "1 of the 2 criteria seen", passMark: 1 })} />);
    press("2");
    expect(screen.getByText("1 of 2 seen")).toBeTruthy();
    expect(screen.getByRole("button", { name: /^Record 2 students/ })).toBeTruthy();
  });

  it("gives a variant in two taps and shows what is overdue", async () => {
    draw(<Stage of={run()} />);
    expect(
      await screen.findByRole("button", { name: "Variant of Bo Lund: Pistol grip, review overdue" }),
    ).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Variant of Ana Reed: none" }));
    fireEvent.click(screen.getByRole("button", { name: /^Pistol grip/ }));
    expect(screen.getByRole("button", { name: "Variant of Ana Reed: Pistol grip" })).toBeTruthy();
    await sending();
    expect(posted("/api/students/ana/variants")[0]!.body).toMatchObject({
      milestoneId: "m1",
      classId: "c1",
      name: "Pistol grip",
    });
  });

  it("offers what to try for the student outlined and keeps what helped", async () => {
    draw(<Stage of={run()} />);
    expect(await screen.findByText("What do you see or hear of Ana Reed?")).toBeTruthy();
    expect(screen.getByText("Pain: stop.")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Neck forward" }));
    const list = screen.getByRole("list", { name: "To try against Neck forward" });
    expect(within(list).getAllByRole("listitem")[0]!.textContent).toContain("Sit tall");
    fireEvent.click(within(list).getByRole("button", { name: "Stand higher: helped" }));
    await sending();
    const kept = posted("/api/checks/m1/helped")[0]!.body as { id: string };
    expect(kept).toMatchObject({ studentId: "ana", sign: "Neck forward", remedy: "Stand higher" });
    fireEvent.click(within(list).getByRole("button", { name: "Stand higher: helped" }));
    await sending();
    expect(sent.find((s) => s.method === "DELETE")?.path).toBe(`/api/helped/${kept.id}`);
  });
});
