import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { GradeBook, Grading } from "../../api/types";
import { draw, Refusal, server } from "../../test/render";
import { GradesPage } from "./GradesPage";

const grading: Grading = {
  settings: {
    weights: { LINE: 30, PLAYING_TEST: 45 },
    notYetPercent: 50,
    unheard: "LEFT_OUT",
    scale: "PERCENT",
    steps: [{ fromPercent: 0, words: "1" }],
    bothClasses: true,
  },
  periods: [{ id: "p1", name: "Autumn", first: "2026-08-24", last: "2027-06-11" }],
};

const book: GradeBook = {
  className: "Winds",
  period: "Autumn",
  on: "2027-02-12",
  students: [
    {
      studentId: "ana",
      name: "Ana Reed",
      instrument: "flute",
      instrumentName: "Flute",
      percent: 85,
      written: "85.0 %",
      kinds: [{ kind: "PLAYING_TEST", items: 1, percent: 80, weight: 45, partPercent: 60 }],
      items: [
        {
          milestoneId: "t",
          kind: "PLAYING_TEST",
          title: "Test 1",
          dueOn: "2027-02-05",
          percent: 80,
          words: "one try. Retakes left.",
        },
      ],
    },
  ],
  distribution: [{ written: "80–89 %", students: 1 }],
};

function page(more: Record<string, unknown> = {}) {
  server({
    "GET /api/session": { today: "2027-02-12", role: "DIRECTOR" },
    "GET /api/grades/settings": grading,
    "GET /api/grades": book,
    ...more,
  });
  draw(<GradesPage director />, "/roster/grades?class=c1");
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("grades", () => {
  it("say how each came about, and go out as CSV", async () => {
    page();
    fireEvent.click(await screen.findByRole("button", { name: "How the grade of Ana Reed came about" }));
    expect(screen.getByText("tests: 80 % of 1, weighs 60 %")).toBeTruthy();
    expect(screen.getByText(/one try\. Retakes left\./)).toBeTruthy();
    expect(screen.getByRole("link", { name: "CSV" }).getAttribute("href")).toContain("periodId=p1");
    expect(
      within(screen.getByRole("region", { name: "How many have each grade" })).getByText("1"),
    ).toBeTruthy();
  });

  it("show the sentence where a setting cannot be", async () => {
    page({
      "PUT /api/grades/settings": new Refusal(422, "All weights are 0: nothing would count.", "weights"),
    });
    fireEvent.click(await screen.findByRole("button", { name: "How grades are made" }));
    fireEvent.change(screen.getByLabelText("Weight of lines"), { target: { value: "0" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    expect((await screen.findByRole("alert")).textContent).toContain("nothing would count");
  });
});
