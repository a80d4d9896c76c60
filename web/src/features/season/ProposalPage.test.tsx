import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { ProposalPage } from "./ProposalPage";

const week = (monday: string) => ({ monday, closed: false });
const plan = {
  revision: 4,
  firstFree: "2026-11-02",
  maxNewNotes: 2,
  fullPercent: 125,
  weeks: ["2026-11-02", "2026-11-09", "2026-11-16"].map(week),
  classes: [
    {
      id: "c1",
      name: "Winds",
      pacing: "IN_STEP",
      reservePercent: 0,
      minutes: [1, 2, 3].map(() => ({ there: 60, wanted: 30, share: 50 })),
      sections: [
        {
          instrument: "flute",
          name: "Flute",
          family: "WOODWIND",
          students: 3,
          pacePercent: 100,
          carriedOver: 0,
        },
      ],
    },
  ],
  items: [
    {
      id: "a",
      kind: "LINE",
      shortName: "24",
      title: "Moon road",
      name: "line 24",
      monday: "2026-11-02",
      hold: "FREE",
      chosen: true,
      newNotes: [],
      orderIds: [],
      reach: [{ classId: "c1", instruments: [] }],
    },
  ],
  points: { total: 0, parts: {} },
  problems: [],
  shared: [],
  proposals: [],
};
const proposal = (aim: string, changes: number) => ({
  id: `p-${aim}`,
  aim,
  cause: "3 November lost",
  madeAt: "2026-11-01T10:00:00Z",
  changes: Array.from({ length: changes }, (_, i) => ({
    itemId: i === 0 ? "a" : `x${i}`,
    name: i === 0 ? "Line 24" : `Line ${30 + i}`,
    from: "2026-11-02",
    to: "2026-11-09",
    words: "1 week later",
    why: "No school in the week of 2 November.",
  })),
  leftOut: [
    {
      itemId: "z",
      name: "Line 29",
      why: "It is too long.",
      consequence: "Without it the Kelp belt cannot be earned.",
      options: [{ kind: "DROP", words: "leave out line 9", total: 90, more: 12, otherItemId: "y" }],
    },
  ],
  minutes: [],
  before: { total: 1200, parts: {} },
  after: { total: 78, parts: {} },
  problems: [],
  stays: ["Pinned by you: Test 2"],
});
const year = { first: "2026-08-17", last: "2027-06-11", today: "2026-10-30", weeks: [], entries: [] };

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const at = (waiting: unknown, more: Record<string, unknown> = {}) =>
  server({
    "GET /api/season/plan/proposals": waiting,
    "GET /api/season/plan": plan,
    "GET /api/year": { ...year, weeks: [{ ...week("2026-11-02"), friday: "2026-11-06", schoolDays: 5 }] },
    ...more,
  });

describe("a proposal", () => {
  it("tells every change with its reason, what falls out and what goes with it", async () => {
    at([proposal("BALANCED", 2)]);
    draw(<ProposalPage />, "/season/proposal?class=c1");
    const changes = await screen.findByRole("region", { name: "Changes" });
    expect(screen.getByRole("heading", { name: "2 moves" })).toBeTruthy();
    expect(screen.getByText(/78 points, today 1,200/)).toBeTruthy();
    expect(within(changes).getAllByText("No school in the week of 2 November.")).toHaveLength(2);
    expect(within(changes).getByText("Without it the Kelp belt cannot be earned.")).toBeTruthy();
    expect(within(changes).getByText("Pinned by you: Test 2")).toBeTruthy();
  });

  it("is taken one by one by its number, and whole by Enter", async () => {
    const sent = at([proposal("BALANCED", 2)], {
      "POST /api/season/plan/proposals/p-BALANCED/take": { revision: 5 },
    });
    draw(<ProposalPage />, "/season/proposal?class=c1");
    await screen.findByRole("region", { name: "Changes" });
    await userEvent.keyboard("2");
    await waitFor(() => expect(sent.filter((s) => s.method === "POST")).toHaveLength(1));
    expect(sent.find((s) => s.method === "POST")?.body).toEqual({
      classId: "c1",
      revision: 4,
      itemIds: ["x1"],
      evenIfBroken: false,
    });
    await screen.findByText("1 change taken");
    await userEvent.keyboard("{Enter}");
    await waitFor(() => expect(sent.filter((s) => s.method === "POST")).toHaveLength(2));
  });

  it("shows both ways of changing side by side", async () => {
    at([proposal("BALANCED", 2), proposal("LEAST_CHANGE", 1)]);
    draw(<ProposalPage />, "/season/proposal?class=c1");
    await userEvent.click(await screen.findByRole("button", { name: "Least change: 1 change" }));
    expect(screen.getByRole("heading", { name: "1 move" })).toBeTruthy();
  });

  it("says what a torn change breaks, and lets the director insist", async () => {
    const sent = at([proposal("BALANCED", 1)], {
      "POST /api/season/plan/proposals/p-BALANCED/take": new Refusal(422, "Line 24 cannot stand there."),
    });
    draw(<ProposalPage />, "/season/proposal?class=c1");
    await screen.findByRole("region", { name: "Changes" });
    await userEvent.keyboard("1");
    await userEvent.click(await screen.findByRole("button", { name: "Take it anyway" }));
    await waitFor(() => expect(sent.filter((s) => s.method === "POST")).toHaveLength(2));
    expect(sent.filter((s) => s.method === "POST")[1]?.body).toMatchObject({ evenIfBroken: true });
  });

  it("waits for nobody where there is none", async () => {
    at([]);
    draw(<ProposalPage />, "/season/proposal?class=c1");
    expect(await screen.findByText(/Nothing waits to be taken/)).toBeTruthy();
  });
});
