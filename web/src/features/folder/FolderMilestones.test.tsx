import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Folder, FolderMilestone, FolderTry } from "../../api/types";
import { draw, Refusal, server } from "../../test/render";
import { FolderMilestones } from "./FolderMilestones";

const tried = (id: string, heardOn: string): FolderTry => ({
  id,
  heardOn,
  recordedAt: `${heardOn}T13:00:00Z`,
  outcome: "NOT_YET",
  evidence: "LIVE_ALONE",
  className: "Winds",
  heardBy: "Odalys Quayle",
  reason: "",
  note: "",
  faults: [],
  corrected: false,
});

const milestone = (number: number, change: Partial<FolderMilestone> = {}): FolderMilestone => ({
  milestoneId: `m${number}`,
  kind: "LINE",
  shortName: `${number}`,
  title: `Tune ${number}`,
  standing: { state: "PASSED", tries: 1, carriedOver: false, goodTries: 0, passedOn: "2026-10-02" },
  tries: [],
  moreTries: false,
  ...change,
});

const on = (change: Partial<Folder["instruments"][number]>): Folder["instruments"][number] => ({
  instrument: "flute",
  instrumentName: "Flute",
  missing: [],
  passed: 1,
  open: 0,
  milestones: [milestone(1)],
  moreDone: 0,
  moments: [],
  earned: [],
  ...change,
});

const done = "GET /api/students/ana/folder/done?instrument=flute&from=";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a folder by pages", () => {
  it("asks for earlier ones a page at a time and says how many are left", async () => {
    const sent = server({
      [`${done}1`]: { milestones: [milestone(2)], moreDone: 1 },
      [`${done}2`]: { milestones: [milestone(3)], moreDone: 0 },
    });
    draw(<FolderMilestones studentId="ana" on={on({ moreDone: 2 })} />);
    expect(sent).toHaveLength(0);
    fireEvent.click(screen.getByRole("button", { name: "Show more of 2 earlier" }));
    fireEvent.click(await screen.findByRole("button", { name: "Show more of 1 earlier" }));
    expect(await screen.findByText("Tune 3", { exact: false })).toBeTruthy();
    expect(screen.queryByRole("button", { name: /Show more/ })).toBeNull();
  });

  it("keeps what it shows when a page cannot be read, and asks again", async () => {
    server({ [`${done}1`]: new Refusal(503, "The database does not answer at the moment.") });
    draw(<FolderMilestones studentId="ana" on={on({ moreDone: 2 })} />);
    fireEvent.click(screen.getByRole("button", { name: /Show more/ }));
    expect((await screen.findByRole("alert")).textContent).toContain("does not answer");
    expect(screen.getByText("Tune 1", { exact: false })).toBeTruthy();
  });

  it("shows the latest tries, and all of them when asked", async () => {
    server({
      "GET /api/students/ana/milestones/m1/tries?instrument=flute": [
        tried("b", "2026-10-01"),
        tried("a", "2026-09-03"),
      ],
    });
    const one = milestone(1, { tries: [tried("b", "2026-10-01")], moreTries: true });
    draw(<FolderMilestones studentId="ana" on={on({ milestones: [one] })} />);
    expect(screen.queryByText(/3 Sept/)).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: /Earlier tries of/ }));
    expect(await screen.findByText(/3 Sept/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: /Earlier tries/ })).toBeNull();
  });
});
