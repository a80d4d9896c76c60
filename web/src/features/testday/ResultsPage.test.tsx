import { cleanup, fireEvent, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { TestResults } from "../../api/types";
import { draw, server } from "../../test/render";
import { ResultsPage } from "./ResultsPage";
import { kappaWords, shortWords, standWords, stricterWords, weakestWords } from "./resultWords";

const student = (name: string, points: number, passed: boolean): TestResults["students"][number] => ({
  studentId: name,
  name,
  instrumentName: "Trumpet",
  marks: [points - 2, 2],
  points,
  passed,
  missing: passed ? 0 : 6 - points,
  underFloor: [],
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
  server({ "GET /api/tests/t/results": told, "GET /api/rail": { sections: [] }, "GET /api/classes": [] });
  draw(
    <Routes>
      <Route path="/hear/:milestoneId/results" element={<ResultsPage />} />
    </Routes>,
    "/hear/t/results?class=c1&instrument=trumpet",
  );
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
    const rows = screen.getAllByRole("row");
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
    expect(screen.getAllByRole("row")).toHaveLength(12);
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
