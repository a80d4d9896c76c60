import { cleanup, fireEvent, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import type { WrittenSheet } from "../../api/types";
import { draw, server } from "../../test/render";
import { WrittenPage } from "./WrittenPage";

const sheet: WrittenSheet = {
  title: "Sheet 1",
  seed: 1,
  lineIds: ["l"],
  questions: [
    { ask: "NAME_NOTE", lineId: "l", question: "Measure 1, 2nd note: what is it called?", answer: "F-sharp" },
    {
      ask: "COUNT_MEASURE",
      lineId: "l",
      question: "Measure 2: write the count under it.",
      answer: "1 2 (3 4)",
    },
  ],
};

beforeAll(() => {
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function page() {
  server({
    "GET /api/written-checks/w": {
      version: 1,
      retired: false,
      draft: {
        shortName: "Sheet 1",
        title: "Sheet 1",
        lineIds: ["l"],
        asks: ["NAME_NOTE"],
        questions: 2,
        seed: 1,
        topPoints: 2,
        mark: 2,
      },
    },
    "GET /api/written-checks/w/sheet": sheet,
    "GET /api/library": { milestones: [], belts: [] },
    "GET /api/instruments": [{ code: "trumpet", name: "Trumpet", family: "BRASS" }],
  });
  draw(
    <Routes>
      <Route path="/library/written/:milestoneId" element={<WrittenPage />} />
    </Routes>,
    "/library/written/w?instrument=trumpet",
  );
}

describe("a written check", () => {
  it("is handed out without its answers, and corrected with them", async () => {
    page();
    expect(await screen.findByText(/2nd note: what is it called/)).toBeTruthy();
    expect(screen.queryByText("F-sharp")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Answers" }));
    expect(screen.getByText("F-sharp")).toBeTruthy();
  });

  it("is asked one by one on the board, each answer hidden until a key", async () => {
    page();
    fireEvent.click(await screen.findByRole("button", { name: "On the board" }));
    const board = screen.getByRole("dialog", { name: "Questions on the board" });
    expect(board.textContent).toContain("what is it called");
    expect(board.textContent).not.toContain("F-sharp");
    fireEvent.keyDown(board, { key: " " });
    expect(board.textContent).toContain("F-sharp");
    fireEvent.keyDown(board, { key: " " });
    expect(board.textContent).toContain("write the count");
    expect(board.textContent).not.toContain("1 2 (3 4)");
    fireEvent.keyDown(board, { key: "ArrowLeft" });
    expect(board.textContent).toContain("F-sharp");
  });
});
