import { cleanup, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, server } from "../../test/render";
import { HabitsOfStudent } from "./HabitsOfStudent";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("habits looked at again", () => {
  it("are told with every look, in the order made", async () => {
    server({
      "GET /api/students/w/habits": [
        {
          milestoneId: "m",
          shortName: "Hold",
          title: "Trumpet hold",
          instrumentName: "Trumpet",
          looks: [
            { on: "2026-10-05", finding: "STILL_THERE" },
            { on: "2026-11-16", finding: "SLIPPING" },
          ],
        },
      ],
    });
    draw(<HabitsOfStudent studentId="w" />);
    const habits = await screen.findByRole("region", { name: "Habits looked at again" });
    expect(habits.textContent).toMatch(/Holdtrumpetstill there .*Oct.*, slipping .*Nov/);
  });

  it("are not mentioned where nobody looked", async () => {
    server({ "GET /api/students/w/habits": [] });
    draw(<HabitsOfStudent studentId="w" />);
    await vi.waitFor(() => expect(screen.queryByRole("region")).toBeNull());
  });
});
