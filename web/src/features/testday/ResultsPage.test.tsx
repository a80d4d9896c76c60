import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { TestResults } from "../../api/types";
import { draw, server } from "../../test/render";
import { ResultsPage } from "./ResultsPage";
import {
  countsWords,
  failedBrackets,
  kappaWords,
  shortWords,
  standWords,
  stricterWords,
  weakestWords,
} from "./resultWords";

const student = (name: string, points: number, passed: boolean): TestResults["students"][number] => ({
  studentId: name,
  name,
  instrumentName: "Trumpet",
  marks: [points - 2, 2],
  points,
  passed,
  missing: passed ? 0 : 6 - points,
  underFloor: [],
  retake: "One retake left.",
});
const results: TestResults = {
  milestoneId: "t",
  kind: "PLAYING_TEST",
  title: "Test 2",
  mark: 6,
  top: 8,
  heard: 2,
  passed: 1,
  unheard: 1,
  criteria: [
    {
      ordinal: 1,
      name: "Sound",
      top: 4,
      floor: 2,
      counts: [0, 0, 1, 0, 1],
      ofClass: [0, 1, 4, 2, 9],
      underFloor: 0,
    },
    { ordinal: 2, name: "Rhythm", top: 4, counts: [0, 0, 2, 0, 0], ofClass: [0, 0, 8, 4, 4], underFloor: 0 },
  ],
  weakest: 2,
  weakestToo: ["Horns", "Tubas"],
  students: [student("Sunniva Drake", 6, true), student("Kofi Lindqvist", 4, false)],
  failed: [
    { measure: 2, sign: "F natural", students: 2 },
    { sign: "rushes", students: 1 },
  ],
  distribution: [
    { points: 4, students: 1, ofClass: 3 },
    { points: 6, students: 1, ofClass: 9 },
  ],
  compared: { students: 1, better: 1, worse: 0, criteria: [{ ordinal: 1, before: 2, now: 3.5 }] },
  waiting: [],
  toAgree: [
    {
      studentId: "k",
      name: "Kofi Lindqvist",
      apart: ["Rhythm"],
      passDiffers: true,
      scores: [
        { attemptId: "a1", listener: "Odalys", marks: [3, 4], passes: true },
        { attemptId: "a2", listener: "Bram", marks: [3, 2], passes: false },
      ],
      proposed: [3, 3],
    },
  ],
  listeners: [
    {
      first: "Odalys",
      second: "Bram",
      students: 4,
      marks: 20,
      same: 14,
      oneApart: 5,
      apart: [{ studentId: "k", name: "Kofi Lindqvist", criterion: "Rhythm", first: 4, second: 2 }],
      difference: 0.35,
      kappa: 0.614,
      low: 0.3,
      high: 0.81,
    },
  ],
};

const page = (told: TestResults) => {
  const seen = server({
    "GET /api/tests/t/results": told,
    "GET /api/tests/t/training": [
      { milestoneId: "c", title: "Count aloud", passed: 3, students: 8, minutes: 11, monday: "2027-02-22" },
    ],
    "POST /api/season/orders": {},
    "POST /api/attempts": {},
    "GET /api/rail": { sections: [] },
    "GET /api/classes": [],
  });
  draw(
    <Routes>
      <Route path="/hear/:milestoneId/results" element={<ResultsPage />} />
    </Routes>,
    "/hear/t/results?class=c1&instrument=trumpet",
  );
  return seen;
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("results of a test", () => {
  it("stand criterion by criterion, with who is short of what", async () => {
    page(results);
    expect(
      await screen.findByRole("img", { name: "Rhythm, students by points, 0: 0, 1: 0, 2: 2, 3: 0, 4: 0" }),
    ).toBeTruthy();
    expect(screen.getByRole("region", { name: "Where it failed" }).textContent).toContain(
      "m. 2 F natural2 of 2",
    );
    const rows = within(screen.getByRole("region", { name: "Students" })).getAllByRole("row");
    expect(rows[1]?.textContent).toContain("Kofi Lindqvist");
    expect(rows[1]?.textContent).toContain("not yet 2 points short");
    const listeners = screen.getByRole("region", { name: "Odalys and Bram" });
    expect(listeners.textContent).toContain("14 of 20");
    expect(listeners.textContent).toContain("further apart: Kofi Lindqvist, rhythm: 4 and 2");
  });

  it("show more students when asked", async () => {
    const many = Array.from({ length: 11 }, (_, i) => student(`Student ${i}`, 6, true));
    page({ ...results, students: many });
    fireEvent.click(await screen.findByRole("button", { name: "3 more" }));
    expect(within(screen.getByRole("region", { name: "Students" })).getAllByRole("row")).toHaveLength(12);
  });

  it("propose the check that trains the weakest, and order it by one press", async () => {
    page(results);
    expect(
      await screen.findByText(/Count aloud trains it: 11 min for the section, 3 of 8 have it/),
    ).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Order it for 22 Feb" }));
    expect(await screen.findByRole("button", { name: "Ordered" })).toBeTruthy();
  });

  it("count points and tell earlier from now", async () => {
    page(results);
    expect((await screen.findByRole("region", { name: "Points" })).textContent).toContain(
      "4 points: 1 of the section, 3 of the class",
    );
    const earlier = screen.getByRole("region", { name: "Earlier and now" });
    expect(earlier.textContent).toContain("1 student heard on two days: 1 better, 0 worse.");
    expect(earlier.textContent).toContain("Sound2 → 3.5");
  });

  it("let two listeners agree, in place of both scores", async () => {
    const sent = page(results);
    const talk = await screen.findByRole("region", { name: "To be talked over" });
    expect(talk.textContent).toContain("rhythm; one passes, one does not");
    fireEvent.change(screen.getByLabelText("Agreed points of Kofi Lindqvist for Rhythm"), {
      target: { value: "4" },
    });
    fireEvent.click(screen.getByRole("button", { name: "Agree" }));
    await screen.findByText("Kofi Lindqvist: agreed");
    const made = sent.filter((one) => one.method === "POST");
    expect(made.map((one) => one.path)).toEqual([
      "/api/attempts/a1/correction",
      "/api/attempts/a2/correction",
    ]);
    expect(made[0]?.body).toMatchObject({
      marks: [
        { ordinal: 1, points: 3 },
        { ordinal: 2, points: 4 },
      ],
    });
  });

  it("hide what the other listener scored until one has scored too", async () => {
    page({ ...results, waiting: ["Ilse Marangi"] });
    expect(await screen.findByText(/the other listener is done, you are not/)).toBeTruthy();
  });

  it("say when nobody was heard", async () => {
    page({ ...results, heard: 0, passed: 0, students: [], listeners: [], weakest: undefined });
    expect(await screen.findByText(/the strips come with the first/)).toBeTruthy();
  });
});

describe("results in words", () => {
  it("say the rule, the weakest and what is short", () => {
    expect(standWords(results)).toBe(
      "2 heard, 1 passed, 1 not yet heard · passes at 6 of 8 and no floor missed",
    );
    expect(weakestWords(results)).toBe("Rhythm is weakest here, and in the horns and tubas.");
    expect(weakestWords({ ...results, weakestToo: ["Horns"] })).toBe(
      "Rhythm is weakest here and in the horns.",
    );
    expect(weakestWords({ ...results, weakest: undefined })).toBe("");
    expect(shortWords({ ...student("x", 7, false), missing: 0, underFloor: ["Sound"] })).toBe(
      "sound below its floor, whatever the total",
    );
    expect(shortWords(student("x", 7, true))).toBe("");
    expect(countsWords({ ...student("x", 6, true), countedPercent: 75 }, 8)).toBe("");
    expect(countsWords({ ...student("x", 6, true), countedPercent: 60 }, 8)).toBe("counts 60 %.");
  });

  it("bracket the measures that failed, with the most students of each", () => {
    const failed = [
      { measure: 2, sign: "F natural", students: 2 },
      { measure: 2, sign: "rushes", students: 4 },
      { sign: "stops", students: 1 },
    ];
    expect(failedBrackets(failed, [{ number: 1 }, { number: 2 }])).toEqual([
      { measure: 1, label: "4", spot: false },
    ]);
  });

  it("say how far listeners agree, and when that cannot be told", () => {
    const [pair] = results.listeners;
    expect(kappaWords(pair!)).toBe("0.61 beyond chance (kappa, linear weights), few students: 0.30 to 0.81");
    expect(kappaWords({ ...pair!, students: 12 })).not.toContain("few");
    expect(kappaWords({ ...pair!, kappa: undefined })).toBe("too little spread to tell from chance");
    expect(stricterWords(pair!)).toBe("Bram gives 0.3 points less, on average");
    expect(stricterWords({ ...pair!, difference: -0.5 })).toBe("Odalys gives 0.5 points less, on average");
    expect(stricterWords({ ...pair!, difference: 0 })).toBe("");
  });
});
