import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, beforeAll, expect, it, vi } from "vitest";
import { draw, server } from "../../test/render";
import { AwayList } from "./AwayList";

beforeAll(() => {
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("takes who is away by tapping names, and back again, and tells the run", async () => {
  const sent = server({
    "GET /api/absences": {
      classId: "c1",
      on: "2026-10-07",
      students: [
        { studentId: "ana", name: "Ana Reed", instrumentName: "Flute", away: false },
        { studentId: "bo", name: "Bo Lund", instrumentName: "Flute", away: true },
      ],
    },
    "POST /api/absences": undefined,
  });
  const noted: [string, boolean][] = [];
  draw(
    <AwayList
      classId="c1"
      className="Winds"
      on="2026-10-07"
      onClose={() => undefined}
      onNote={(id, away) => void noted.push([id, away])}
    />,
  );
  expect(await screen.findByText("Winds · 1 student away")).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: /^Ana Reed/ }));
  expect(screen.getByText("Winds · 2 students away")).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: /^Bo Lund/ }));
  fireEvent.click(screen.getByRole("button", { name: /^Ana Reed/ }));
  expect(screen.getByText("Winds · everybody is here")).toBeTruthy();
  expect(noted).toEqual([
    ["ana", true],
    ["bo", false],
    ["ana", false],
  ]);
  const posts = () => sent.filter((s) => s.method === "POST").map((s) => s.body as Record<string, unknown>);
  await vi.waitFor(() => expect(posts()).toHaveLength(3));
  expect(posts().map((b) => [b.studentId, b.away, b.on])).toEqual([
    ["ana", true, "2026-10-07"],
    ["bo", false, "2026-10-07"],
    ["ana", false, "2026-10-07"],
  ]);
});
