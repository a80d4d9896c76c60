import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, server, type Sent } from "../../test/render";
import { TestDayPage } from "./TestDayPage";

const student = (name: string) => ({ studentId: name, name, instrumentName: "Flute" });
const day = {
  milestoneId: "t",
  kind: "PLAYING_TEST",
  title: "Test 2: Crab sidle",
  takes: { playing: 71, word: 15, changeover: 12, planned: 98, learnt: 121, learntFrom: 4 },
  periods: [
    {
      id: "a",
      classId: "c1",
      className: "Concert Winds",
      on: "2026-11-06",
      period: 5,
      beginsAt: "11:53",
      today: true,
      rotation: "A",
      periodMinutes: 44,
      minutes: 20,
      usedSeconds: 300,
      slots: [
        { at: "11:53", seconds: 150, students: [student("Odile Merrivale"), student("Winona Silvermere")] },
        { at: "11:56", seconds: 150, students: [student("Ezra Rosendahl")] },
      ],
    },
  ],
  heard: [student("Bo Achterberg")],
  makeUp: [{ ...student("Jun Kestrelle"), because: "ABSENT" }],
  bound: 1,
  proven: true,
  sooner: { together: 3, periods: 1 },
};

function at(answers: Record<string, unknown> = {}): Sent[] {
  return server({
    "GET /api/tests/t/day": day,
    "GET /api/session": { today: "2026-11-06", role: "DIRECTOR" },
    "GET /api/rail": { sections: [] },
    "GET /api/classes": [{ id: "c1", name: "Concert Winds" }],
    ...answers,
  });
}

const page = () =>
  draw(
    <Routes>
      <Route path="/hear/:milestoneId/day" element={<TestDayPage />} />
    </Routes>,
    "/hear/t/day?class=c1",
  );

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a test day", () => {
  it("says who is heard when, and who makes up", async () => {
    at();
    page();
    const today = await screen.findByRole("region", { name: /6 November.*period 5/ });
    const slots = within(today).getAllByRole("listitem");
    expect(slots).toHaveLength(2);
    expect(slots[0]?.textContent).toMatch(/11:53Odile Merrivaleflute.*Winona Silvermere/);
    expect(screen.getByRole("region", { name: "Make-up" }).textContent).toContain(
      "Jun Kestrelleabsent today",
    );
    expect(screen.getByRole("region", { name: "One student takes" }).textContent).toContain(
      "on average 2 min 1 s",
    );
    expect(screen.getByRole("link", { name: "Hear Odile" })).toBeTruthy();
  });

  it("asks anew for other minutes and for groups", async () => {
    const sent = at();
    page();
    fireEvent.click(await screen.findByRole("radio", { name: "in pairs" }));
    await vi.waitFor(() => expect(sent.some((one) => one.path.includes("together=2"))).toBe(true));
    fireEvent.change(screen.getByLabelText("Minutes there are"), { target: { value: "35" } });
    await vi.waitFor(() => expect(sent.some((one) => one.path.includes("minutes=35"))).toBe(true));
    const file = screen.getByRole("link", { name: "Calendar file" }).getAttribute("href");
    expect(file).toContain("/api/tests/t/day/calendar.ics");
    expect(file).toContain("together=2");
  });
});
