import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server, type Sent } from "../../test/render";
import type { FirstOrders, FirstWeeks } from "../../api/types";
import { asLeft, byTopic, draftOf, moved, ordersOf, ownWays, weekOf, without } from "./firstWeeks";
import { FirstWeeksPage } from "./FirstWeeksPage";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const week = (monday: string, dueOn: string) => ({
  number: 1,
  monday,
  setOn: monday,
  dueOn,
  minutes: 100,
  minutesWanted: 20,
  checks: [],
  lines: [],
});

const proposal: FirstWeeks = {
  classId: "c1",
  className: "Winds",
  ordered: 0,
  left: [],
  weeks: [
    {
      ...week("2026-08-31", "2026-09-04"),
      checks: [
        { checkId: "k1", starterKey: "sit-tall", title: "Sit tall", topic: "BODY", sections: [] },
        { checkId: "m1", milestoneId: "m1", title: "Case", topic: "HANDLING", sections: ["flute"] },
      ],
    },
    {
      ...week("2026-09-07", "2026-09-11"),
      lines: [{ milestoneId: "l1", shortName: "1", title: "First light" }],
    },
  ],
};

describe("the first weeks while they are left as one wants", () => {
  it("a thing moves within the weeks and is left out", () => {
    const draft = draftOf(proposal);
    const id = draft[0]![0]!.orderId;
    expect(weekOf(moved(draft, [id], 1), id)).toBe(1);
    expect(moved(draft, [id], -1)).toBe(draft);
    expect(weekOf(without(draft, [id]), id)).toBe(-1);
    expect(asLeft(proposal, moved(draft, [id], 1)).weeks).toEqual([["m1"], ["k1"]]);
  });

  it("what sections do each in their own way moves together", () => {
    const [tall, one] = draftOf(proposal)[0]!;
    const two = { ...one!, orderId: "two", sections: ["trumpet"] };
    expect(ownWays([tall!, one!])).toEqual([[tall, one], []]);
    expect(ownWays([tall!, one!, two])).toEqual([[tall], [one, two]]);
    expect(moved([[tall!, one!, two], []], [one!.orderId, "two"], 1)).toEqual([[tall], [one, two]]);
  });

  it("becomes orders of its weeks, each thing by what it is", () => {
    const draft = draftOf(proposal);
    const late = moved(draft, [draft[0]![0]!.orderId], 1);
    const orders = ordersOf(proposal, late).orders;
    expect(
      orders.map(({ starterKey, milestoneId, setOn, dueOn }) => [starterKey ?? milestoneId, setOn, dueOn]),
    ).toEqual([
      ["m1", "2026-08-31", "2026-09-04"],
      ["l1", "2026-09-07", "2026-09-11"],
      ["sit-tall", "2026-09-07", "2026-09-11"],
    ]);
    expect(byTopic(late[1]!).map(([topic]) => topic)).toEqual(["BODY", undefined]);
  });
});

const around = {
  "GET /api/classes": [{ id: "c1", name: "Winds", sections: [] }],
  "GET /api/books": [],
  "GET /api/instruments": [{ code: "flute", name: "Flute", family: "WOODWIND" }],
};

describe("the first weeks of a class", () => {
  it("are ordered in one press, as they were left with the keyboard", async () => {
    const sent = server({
      ...around,
      "GET /api/season/first-weeks": proposal,
      "POST /api/season/first-weeks/look": [
        { minutesWanted: 8, tooEarly: [] },
        { minutesWanted: 112, tooEarly: [] },
      ],
      "POST /api/season/first-weeks": (one: Sent) => ({ orders: (one.body as FirstOrders).orders.length }),
    });
    draw(<FirstWeeksPage />);
    const thing = await screen.findByRole("button", { name: /^Sit tall; arrow keys/ });
    fireEvent.keyDown(thing, { key: "ArrowDown" });
    const rows = within(screen.getByRole("list", { name: "Weeks" })).getAllByRole("heading");
    expect(rows.map((row) => row.textContent)).toEqual(["31 Aug", "7 Sept"]);
    fireEvent.keyDown(screen.getByRole("button", { name: /^Case; for flute; arrow/ }), { key: "Delete" });
    expect(screen.getByText("Case left out")).toBeTruthy();
    fireEvent.click(screen.getByText("Order these weeks (2)"));
    expect(await screen.findByText("2 orders set for Winds")).toBeTruthy();
    const body = sent.find((one) => one.path === "/api/season/first-weeks" && one.method === "POST")
      ?.body as FirstOrders;
    expect(body.orders.map((one) => one.setOn)).toEqual(["2026-09-07", "2026-09-07"]);
  });

  it("tell the minutes and what stands too early once something was moved", async () => {
    const sent = server({
      ...around,
      "GET /api/season/first-weeks": proposal,
      "POST /api/season/first-weeks/look": [
        { minutesWanted: 8, tooEarly: [{ checkId: "m1", after: "Sit tall" }] },
        { minutesWanted: 112, tooEarly: [] },
      ],
    });
    draw(<FirstWeeksPage />);
    const thing = await screen.findByRole("button", { name: /^Sit tall; arrow keys/ });
    expect(screen.getAllByText("20 of 100 min")).toHaveLength(2);
    expect(sent.some((one) => one.method === "POST")).toBe(false);
    fireEvent.keyDown(thing, { key: "ArrowDown" });
    expect(await screen.findByText("112 of 100 min, more than there is")).toBeTruthy();
    expect(screen.getByText(/before “Sit tall”, which it needs/)).toBeTruthy();
    expect(screen.getByRole("button", { name: /^Case; .*too early, it needs Sit tall/ })).toBeTruthy();
    expect(sent.find((one) => one.method === "POST")?.body).toEqual({
      classId: "c1",
      from: "2026-08-31",
      weeks: [["m1"], ["k1"]],
    });
  });

  it("say what is missing", async () => {
    server({
      ...around,
      "GET /api/season/first-weeks": new Refusal(422, "Nobody sits in Winds yet; bring the roster in first."),
    });
    draw(<FirstWeeksPage />);
    expect(await screen.findByText("Nobody sits in Winds yet; bring the roster in first.")).toBeTruthy();
  });

  it("begin next Monday for who is new", async () => {
    const sent = server({
      ...around,
      "GET /api/season/first-weeks": {
        ...proposal,
        newcomers: { since: "2026-10-05", names: ["Ida Newell"], milestones: 9 },
      },
      "POST /api/season/first-weeks/newcomers": { orders: 9 },
    });
    draw(<FirstWeeksPage />);
    fireEvent.click(await screen.findByText("Next Monday they begin with the same"));
    expect(await screen.findByText("9 checks set for who is new, from next Monday")).toBeTruthy();
    expect(sent.find((one) => one.method === "POST")?.body).toEqual({ classId: "c1" });
  });
});
