import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server, type Sent } from "../../test/render";
import { LinePage } from "./LinePage";

vi.mock("./Staff", () => ({
  default: ({ label, brackets }: { label: string; brackets: { label: string }[] }) => (
    <div role="img" aria-label={label}>
      {brackets.map((b) => b.label).join("|")}
    </div>
  ),
}));

const section = (instrument: string, name: string, writtenKey: string) => ({
  instrument,
  name,
  writtenKey,
  octaves: 0,
  outside: instrument === "horn" ? ["A 5"] : [],
  traps: [{ kind: "STILL_ALTERED", measure: 1, number: 2, sentence: "Still F-sharp" }],
  demand: [{ kind: "LEAP", value: instrument === "horn" ? 4 : 2, number: 1, words: "a fifth" }],
  hotSpots: [],
});

const notes = {
  analysis: {
    title: "Rope",
    concertKey: "B-flat major",
    meter: "4/4",
    tempoBpm: 84,
    measures: [
      { index: 0, number: 1, beats: 4, full: 4, pulse: 1, signs: "repeat begins" },
      { index: 1, number: 2, beats: 4, full: 4, pulse: 1, signs: "repeat" },
    ],
    order: [
      { index: 0, number: 1, pass: 1, seconds: 0 },
      { index: 1, number: 2, pass: 1, seconds: 2.86 },
      { index: 0, number: 1, pass: 2, seconds: 5.72 },
      { index: 1, number: 2, pass: 2, seconds: 8.58 },
    ],
    totalBeats: 16,
    seconds: 11.43,
    sounding: [],
    echoes: [
      { likeness: "SAME", measure: 1, number: 2, sentence: "Same as measure 1" },
      { likeness: "SAME_RHYTHM", measure: 1, number: 2, sentence: "The rhythm of measure 1" },
    ],
    sections: [section("trumpet", "Trumpet", "C major"), section("horn", "Horn", "F major")],
  },
  musicXml: "<score-partwise/>",
  abc: "K:Bb\nB4|",
};

const ladder = {
  steps: [{ kind: "ISOLATE", what: "Measure 2 alone, 3 times", tempoBpm: 50, seconds: 28 }],
  dropped: [{ kind: "JOIN", what: "Measures 1 to 2 joined, twice", tempoBpm: 67, seconds: 20 }],
  seconds: 28,
};

function at(answers: Record<string, unknown> = {}): Sent[] {
  return server({
    "GET /api/lines/l1/notes": notes,
    "GET /api/lines/l1/ladder": ladder,
    "GET /api/library": {
      milestones: [
        {
          id: "l1",
          kind: "LINE",
          shortName: "9",
          title: "Rope and pulley",
          appliesTo: [],
          version: 1,
          passRule: "one good try",
          criteria: [],
          line: {
            bookId: "b",
            book: "Tideline Method, Winds",
            page: 8,
            number: 9,
            concertKey: "B-flat major",
            meter: "4/4",
            tempoBpm: 84,
            measures: 2,
            playedMeasures: 4,
          },
        },
      ],
      belts: [],
    },
    "GET /api/rail": { sections: [{ instrument: "trumpet" }, { instrument: "horn" }] },
    "GET /api/instruments": [{ code: "horn", name: "Horn", plural: "Horns", family: "BRASS" }],
    "POST /api/lines/preview": { analysis: notes.analysis, musicXml: "<score-partwise/>" },
    "POST /api/lines/l1/notes": undefined,
    ...answers,
  });
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const page = (address = "/library/lines/l1?class=c1&instrument=horn") =>
  draw(
    <Routes>
      <Route path="/library/lines/:lineId" element={<LinePage director />} />
    </Routes>,
    address,
  );

describe("a line's page", () => {
  it("shows the line for the section, every key, the way through it, traps and what it asks", async () => {
    at();
    page();
    expect(await screen.findByRole("img", { name: "Notation for Horn" })).toBeTruthy();
    expect(screen.getByRole("img", { name: "Notation for Horn" }).textContent).toBe("1");
    const keys = screen.getByRole("list", { name: "Keys by section" });
    const horn = await within(keys).findByRole("button", { name: "Horn F major" });
    expect(horn.getAttribute("aria-pressed")).toBe("true");
    expect(within(keys).getByRole("button", { name: "Trumpet C major" })).toBeTruthy();
    const roadmap = screen.getByRole("region", { name: "Roadmap" });
    expect(within(roadmap).getAllByRole("listitem")).toHaveLength(4);
    expect(within(roadmap).getByText(/4 measures, 16 beats, 11 s/)).toBeTruthy();
    expect(screen.getByText("Still F-sharp")).toBeTruthy();
    expect(screen.getByText("A 5")).toBeTruthy();
    expect(screen.getByText(/Leap: Horn/)).toBeTruthy();
    expect(screen.getByText("Same as measure 1")).toBeTruthy();
    expect(screen.queryByText("The rhythm of measure 1")).toBeNull();
  });

  it("fits a ladder to the minutes and says what was dropped", async () => {
    const sent = at();
    page();
    expect(await screen.findByText("Measure 2 alone, 3 times")).toBeTruthy();
    expect(screen.getByText("Measures 1 to 2 joined, twice")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Minutes there are"), { target: { value: "3" } });
    fireEvent.change(screen.getByLabelText("Rehearsal habit"), { target: { value: "STRAIGHT_THROUGH" } });
    await screen.findByText("3 min");
    expect(sent.some((s) => s.path.includes("habit=STRAIGHT_THROUGH") && s.path.includes("minutes=3"))).toBe(
      true,
    );
  });

  it("says when facts alone are kept", async () => {
    at({ "GET /api/lines/l1/notes": new Refusal(404, "Only facts are kept of this line, no notes.") });
    page();
    expect(await screen.findByText(/Only facts are kept of this line/)).toBeTruthy();
    expect(screen.getByRole("button", { name: "Type its notes" })).toBeTruthy();
  });

  it("shows what is typed and tells what is wrong by line and column", async () => {
    at({
      "POST /api/lines/preview": new Refusal(422, "“w” is no note, rest or sign of ABC."),
    });
    page();
    fireEvent.click(await screen.findByRole("button", { name: "Type it anew" }));
    const typed = screen.getByLabelText("The line in ABC, as it sounds") as HTMLTextAreaElement;
    expect(typed.value).toBe(notes.abc);
    expect((await screen.findByRole("alert")).textContent).toContain("is no note, rest or sign of ABC");
    expect(
      screen.getByRole("button", { name: "Keep the notes with this line" }).hasAttribute("disabled"),
    ).toBe(true);
  });

  it("keeps what was typed", async () => {
    const sent = at();
    page();
    fireEvent.click(await screen.findByRole("button", { name: "Type it anew" }));
    fireEvent.change(screen.getByLabelText("The line in ABC, as it sounds"), {
      target: { value: "K:C\nC4|" },
    });
    fireEvent.click(screen.getByRole("button", { name: "Keep the notes with this line" }));
    expect(await screen.findByText("The notes are kept with the line")).toBeTruthy();
    expect(sent.find((s) => s.path === "/api/lines/l1/notes" && s.method === "POST")?.body).toEqual({
      abc: "K:C\nC4|",
    });
  });
});
