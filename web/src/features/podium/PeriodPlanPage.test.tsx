import { cleanup, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, server } from "../../test/render";
import { PeriodPlanPage } from "./PeriodPlanPage";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const winds = {
  classId: "c1",
  name: "Winds",
  campus: "Cobble Point",
  startsAt: "09:00",
  period: 2,
  minutes: 45,
  students: 3,
  teach: [
    { milestoneId: "m1", kind: "LINE", shortName: "12", title: "Two gulls", dueOn: "2026-10-09", asked: 3 },
  ],
  hear: [
    {
      milestoneId: "m1",
      kind: "LINE",
      shortName: "12",
      title: "Two gulls",
      open: 1,
      asked: 3,
      seconds: 60,
      fits: true,
    },
  ],
};
const row = (name: string, division = "") => ({ name, instrumentName: "Clarinet", division });
const year = {
  first: "2026-08-24",
  last: "2027-06-11",
  today: "2026-10-07",
  weeks: [{ number: 1, monday: "2026-10-05", friday: "2026-10-09", schoolDays: 5 }],
  entries: [],
};

const plan = (classes: unknown[]) =>
  server({
    "GET /api/year": year,
    "GET /api/podium": { on: "2026-10-07", schoolDay: true, classes },
    "GET /api/warm-up": { minutes: 8, parts: [{ kind: "BREATHING", title: "Breathe", minutes: 2 }] },
    "GET /api/board": {
      rows: [row("Cy Moor", "First"), row("Ana Reed"), row("Bo Lund")],
      columns: [],
      belts: [],
    },
  });

const page = () =>
  draw(
    <Routes>
      <Route path="/podium/plan/:classId" element={<PeriodPlanPage />} />
    </Routes>,
    "/podium/plan/c1?class=c1",
  );

describe("a period on paper", () => {
  it("names everybody by section and says in which minutes what is done", async () => {
    plan([winds]);
    page();
    expect(await screen.findByText("Ana Reed, Bo Lund")).toBeTruthy();
    expect(screen.getByText("Clarinet First, 1")).toBeTruthy();
    expect(screen.getByText("19 min")).toBeTruthy();
    expect(screen.getByText(/1 student left, about 1 min/)).toBeTruthy();
    expect(screen.getByText(/hurt stops playing/)).toBeTruthy();
  });

  it("of a class that does not meet says so", async () => {
    plan([]);
    page();
    expect(await screen.findByText("This class does not meet on Wednesday 7 October.")).toBeTruthy();
  });
});
