import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import type { Guide as GuideView } from "../../api/types";
import { Guide } from "./Guide";
import { LookAround } from "./LookAround";
import { TemplatesStart } from "./TemplatesStart";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const guide: GuideView = {
  over: false,
  steps: [
    { step: "CLASSES", state: "DONE", sentence: "Winds and Strings" },
    { step: "ROSTER", state: "BEGUN", sentence: "nobody sits in Strings yet" },
    { step: "BOOKS", state: "OPEN", sentence: "the lines you will order" },
    { step: "SCHOOLS", state: "OPEN", sentence: "questions on which teachers differ" },
    { step: "WHO_ELSE", state: "LEFT_OUT", sentence: "left out" },
  ],
};

describe("the guide of the first hour", () => {
  it("says where each thing stands and opens the work itself", async () => {
    server({
      "GET /api/books": [],
      "GET /api/shipped-books": [{ title: "Tideline Method", volume: "Winds", lines: 40 }],
    });
    draw(<Guide guide={guide} />);
    expect(screen.getAllByRole("img").map((mark) => mark.getAttribute("aria-label"))).toEqual([
      "done",
      "begun",
      "open",
      "open",
      "left out",
    ]);
    fireEvent.click(screen.getByRole("button", { name: "Begin Books" }));
    expect(await screen.findByText("Tideline Method, Winds (40)")).toBeTruthy();
    expect(screen.getByRole("button", { name: "Begin Books" }).getAttribute("aria-expanded")).toBe("true");
  });

  it("leaves a thing out, takes it up, and knows that one looked", async () => {
    const sent = server({ "PUT /api/start/steps/": undefined, "GET /api/schools": [] });
    draw(<Guide guide={guide} />);
    fireEvent.click(screen.getByRole("button", { name: "Leave Books out" }));
    fireEvent.click(screen.getByRole("button", { name: "Take Who else hears up" }));
    fireEvent.click(screen.getByRole("button", { name: "Look Schools of thought" }));
    await vi.waitFor(() => expect(sent.filter((one) => one.method === "PUT")).toHaveLength(3));
    expect(
      sent.filter((one) => one.method === "PUT").map((one) => [one.path.split("/").at(-1), one.body]),
    ).toEqual([
      ["BOOKS", { as: "LEFT_OUT" }],
      ["WHO_ELSE", {}],
      ["SCHOOLS", { as: "SEEN" }],
    ]);
  });
});

describe("looking around first", () => {
  it("is one key away, and says when it fails", async () => {
    const sent = server({ "POST /api/look-around": new Refusal(409, "This is a made-up school already.") });
    draw(<LookAround />);
    fireEvent.keyDown(document.body, { key: "d" });
    expect(await screen.findByText("This is a made-up school already.")).toBeTruthy();
    expect(sent.map((one) => one.path)).toContain("/api/look-around");
  });
});

describe("templates", () => {
  it("make a ladder from a book that has lines, and a test of a line", async () => {
    const sent = server({
      "GET /api/books": [
        { id: "b0", title: "Empty", volume: "", lines: 0 },
        { id: "b1", title: "Tideline Method", volume: "Winds", lines: 40 },
      ],
      "GET /api/library": {
        milestones: [{ id: "l1", kind: "LINE", shortName: "1", title: "First light" }],
        belts: [],
      },
      "POST /api/start/ladder": { belts: 3 },
      "POST /api/start/test": { milestoneId: "t1" },
    });
    draw(<TemplatesStart />);
    await screen.findByText("1 First light");
    await screen.findByText("Tideline Method, Winds");
    fireEvent.click(screen.getByText("Make a first ladder"));
    fireEvent.click(screen.getByText("Make a playing test"));
    expect(await screen.findByText(/3 belts made/)).toBeTruthy();
    expect(sent.filter((one) => one.method === "POST").map((one) => one.body)).toEqual([
      { bookId: "b1" },
      { lineId: "l1" },
    ]);
  });
});
