import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { WarmUp } from "../../api/types";
import { draw, server } from "../../test/render";
import { minutesWords, stepped } from "./warmUp";
import { WarmUpPage } from "./WarmUpPage";

const part = (kind: string, title: string, minutes: number) => ({
  kind,
  title,
  minutes,
  key: "F major",
  how: [`how to ${title}`],
  why: kind === "SCALE" ? ["This week's lines are in concert F major"] : [],
});
const plan = (kept: boolean): WarmUp =>
  ({
    className: "Winds",
    monday: "2026-10-05",
    kept,
    order: "SLURS_FIRST",
    minutes: 3.5,
    parts: [part("BREATHING", "Breathing", 1), part("SCALE", "Scale", 2.5)],
  }) as WarmUp;

const written = {
  musicXml: "<score-partwise/>",
  analysis: {
    tempoBpm: 72,
    seconds: 3,
    countInBeats: 4,
    measures: [{ index: 0, number: 1, beats: 4, full: 4, pulse: 1, signs: "", spoken: "" }],
    order: [{ index: 0, number: 1, pass: 1, seconds: 0 }],
    sounding: [],
    beside: [],
    sections: [],
  },
};

function at(kept: boolean) {
  const sent = server({
    "GET /api/warm-up": () => plan(kept),
    "GET /api/warm-up/part": written,
    "GET /api/rail": { sections: [] },
    "GET /api/demonstrations": [{ id: "d1", name: "Four beats.wav", mediaType: "audio/wav", size: 9 }],
    "GET /api/instruments": [{ code: "flute", name: "Flute", plural: "Flutes", family: "WOODWIND" }],
    "PUT /api/warm-up": undefined,
    "DELETE /api/warm-up": undefined,
  });
  draw(<WarmUpPage director />, "/podium/warm-up?class=c1&instrument=flute");
  return sent;
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the warm-up of a class", () => {
  it("is proposed, says why, and is written out", async () => {
    const sent = at(false);
    const parts = await screen.findByRole("list", { name: "Parts of the warm-up" });
    expect(within(parts).getByText("This week's lines are in concert F major")).toBeTruthy();
    expect(within(parts).getByText("2½ min")).toBeTruthy();
    fireEvent.click(within(parts).getByRole("button", { name: "2 Scale" }));
    expect(await screen.findByRole("img", { name: "Scale for Flute" })).toBeTruthy();
    expect(sent.some((s) => s.path.includes("kind=SCALE") && s.path.includes("instrument=flute"))).toBe(true);
    fireEvent.click(screen.getByRole("button", { name: "Keep and edit" }));
    await vi.waitFor(() =>
      expect(sent.find((s) => s.method === "PUT")?.body).toEqual({
        parts: [
          { kind: "BREATHING", minutes: 1, key: "F major" },
          { kind: "SCALE", minutes: 2.5, key: "F major" },
        ],
      }),
    );
  });

  it("is changed part by part once it is kept", async () => {
    const sent = at(true);
    fireEvent.click(await screen.findByRole("button", { name: "More time for Breathing" }));
    fireEvent.click(screen.getByRole("button", { name: "Scale earlier" }));
    fireEvent.click(screen.getByRole("button", { name: "Leave Scale out" }));
    await vi.waitFor(() => expect(sent.filter((s) => s.method === "PUT")).toHaveLength(3));
    const bodies = sent
      .filter((s) => s.method === "PUT")
      .map((s) => s.body as { parts: { kind: string; minutes: number }[] });
    expect(bodies[0]!.parts[0]!.minutes).toBe(1.5);
    expect(bodies[1]!.parts.map((p) => p.kind)).toEqual(["SCALE", "BREATHING"]);
    expect(bodies[2]!.parts.map((p) => p.kind)).toEqual(["BREATHING"]);
    fireEvent.click(screen.getByRole("button", { name: "Back to the proposal" }));
    await vi.waitFor(() => expect(sent.some((s) => s.method === "DELETE")).toBe(true));
  });

  it("hangs a demonstration on a part", async () => {
    const sent = at(true);
    fireEvent.change(await screen.findByLabelText("Demonstration for Scale"), { target: { value: "d1" } });
    await vi.waitFor(() =>
      expect(sent.find((s) => s.method === "PUT")?.body).toEqual({
        parts: [
          { kind: "BREATHING", minutes: 1, key: "F major" },
          { kind: "SCALE", minutes: 2.5, key: "F major", demonstrationId: "d1" },
        ],
      }),
    );
  });

  it("says minutes as one says them", () => {
    expect([1, 0.5, 2.5, 1.25, 1.1].map(minutesWords)).toEqual([
      "1 min",
      "½ min",
      "2½ min",
      "1¼ min",
      "1.1 min",
    ]);
    expect(stepped(0.5, -1)).toBe(0.5);
    expect(stepped(1, 1)).toBe(1.5);
  });
});
