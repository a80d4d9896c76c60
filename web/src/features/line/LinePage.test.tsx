import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server, type Sent } from "../../test/render";
import { LinePage } from "./LinePage";

const section = (instrument: string, name: string, writtenKey: string) => ({
  instrument,
  name,
  pitched: true,
  writtenKey,
  octaves: 0,
  soundsAbove: 0,
  writtenAbove: 7,
  moved:
    instrument === "horn"
      ? [
          {
            from: 1,
            to: 2,
            octaves: -1,
            sentence: "Measures 1 to 2 are read an octave lower: too high here.",
          },
        ]
      : [],
  entry: { number: 1, note: "C 5", fingering: "open", counted: ["1", "2", "3", "4"], entersOn: "1" },
  breaths: instrument === "horn" ? [1] : [],
  trackKnown: true,
  news: [{ kind: "NOTE", number: 2, words: "F-sharp 4, 2", sentence: "From F 4 (1): 2 down, 1 up" }],
  hands: [{ kind: "SLIDE", numbers: [2], sentence: `Hand note for ${instrument}: measure 2` }],
  tendencies: [{ note: "E 5", fingering: "open", tendency: "LOW", numbers: [2] }],
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
    tempo: "quarter = 80–88",
    countInBeats: 4,
    measures: [
      { index: 0, number: 1, beats: 4, full: 4, pulse: 1, signs: "repeat begins", spoken: "1 2 3 4" },
      { index: 1, number: 2, beats: 4, full: 4, pulse: 1, signs: "repeat", spoken: "1 (2) 3 4" },
    ],
    order: [
      { index: 0, number: 1, pass: 1, seconds: 0 },
      { index: 1, number: 2, pass: 1, seconds: 2.86 },
      { index: 0, number: 1, pass: 2, seconds: 5.72 },
      { index: 1, number: 2, pass: 2, seconds: 8.58 },
    ].map((played) => ({ ...played, countInSeconds: 2.86, countIn: [], clicks: [] })),
    playedMeasures: 4,
    parts: [],
    leftOut: ["dynamics in 1, 2", "the part Piano"],
    totalBeats: 16,
    seconds: 11.43,
    secondsWithCountIn: 15.43,
    countedSeconds: 11.43,
    countedSecondsWithCountIn: 15.43,
    sounding: [],
    beside: [
      { use: "everybody", name: "Everybody else", sounding: [] },
      { use: "horn/2", name: "Horns, second", sounding: [] },
    ],
    under: {
      strains: [{ from: 1, to: 2, sentence: "Measures 1 to 2: held notes, B-flat 2" }],
      toldApart: ["Measure 2 is measure 1 again, over something else"],
    },
    echoes: [
      { likeness: "SAME", measure: 1, number: 2, sentence: "Same as measure 1" },
      { likeness: "SAME_RHYTHM", measure: 1, number: 2, sentence: "The rhythm of measure 1" },
    ],
    sections: [section("trumpet", "Trumpet", "C major"), section("horn", "Horn", "F major")],
    hardest: [{ kind: "LEAP", instrument: "horn", sentence: "Horns leap widest: a fifth at measure 1" }],
  },
  fingers: [
    [{ name: "C", beats: 4, label: "open", keys: [], marked: "NOTHING", alternates: [] }],
    [
      { name: "D", beats: 2, label: "1", keys: [], marked: "NOTHING", alternates: ["1-3"] },
      { name: "A", beats: 2, label: "4", string: "D", keys: [], marked: "FOURTH_FINGER", alternates: [] },
    ],
  ],
  likeness: {
    lineId: "l0",
    sentence: "The notes of line 4, Wet sand in another rhythm",
    measures: [{ measure: 1, lineId: "l0", words: "measure 3 of line 4" }],
  },
  musicXml: "<score-partwise/>",
  abc: "K:Bb\nB4|",
};

const step = {
  from: 1,
  to: 1,
  tempoBpm: 50,
  repetitions: 3,
  groups: [],
  bows: [],
  tempos: [50, 60],
  note: "",
};
const ladder = {
  kept: false,
  minutes: 8,
  habit: "SPOTS_FIRST",
  steps: [
    { ...step, kind: "ISOLATE", what: "Measure 2 alone, 3 times", seconds: 28 },
    { ...step, kind: "WHOLE", what: "The whole line at tempo", seconds: 20 },
  ],
  dropped: [{ ...step, kind: "JOIN", what: "Measures 1 to 2 joined, twice", seconds: 20 }],
  seconds: 48,
};

function at(answers: Record<string, unknown> = {}): Sent[] {
  return server({
    "GET /api/lines/l1/notes": notes,
    "GET /api/lines/l1/ladder": ladder,
    "POST /api/lines/l1/parts/horn/2/milestone": { lineId: "l9" },
    "GET /api/lines/l1/ladders/horn": new Refusal(404, "No ladder is kept for this instrument."),
    "PUT /api/lines/l1/ladders/horn": { ...ladder, kept: true },
    "DELETE /api/lines/l1/ladders/horn": undefined,
    "GET /api/books": [{ id: "b", title: "Tideline Method", volume: "Winds", notesKept: true, lines: 1 }],
    "GET /api/books/lines/l1": {
      bookId: "b",
      page: 8,
      number: 9,
      title: "Rope and pulley",
      concertKey: "B-flat major",
      meter: "4/4",
      tempoBpm: 84,
      measures: 8,
      playedMeasures: 12,
      notesUsed: "Bb3 C4",
      valuesIntroduced: ["dotted half"],
      signsIntroduced: ["DA_CAPO"],
      roadmap: "D.C. al Fine",
      retired: false,
    },
    "GET /api/lines/l1/remarks": [
      { instrument: "any", trouble: "", tip: "breathe together" },
      { instrument: "horn", trouble: "the F-sharp", tip: "" },
      { instrument: "flute", trouble: "not theirs", tip: "" },
    ],
    "PUT /api/lines/l1/remarks/horn": undefined,
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
    expect((await screen.findByText(/Breathe after m/)).parentElement!.textContent).toBe(
      "Breathe after m. 1",
    );
    expect(await screen.findByText(/Measures 1 to 2 are read an octave lower/)).toBeTruthy();
    expect(await screen.findByRole("img", { name: "Notation for Horn" })).toBeTruthy();
    expect(screen.getByRole("img", { name: "Notation for Horn" }).textContent).toBe("1");
    const keys = screen.getByRole("list", { name: "Keys by section" });
    const horn = await within(keys).findByRole("button", { name: "Horn F major" });
    expect(horn.getAttribute("aria-pressed")).toBe("true");
    expect(within(keys).getByRole("button", { name: "Trumpet C major" })).toBeTruthy();
    const roadmap = await screen.findByRole("region", { name: "Roadmap" });
    expect(within(roadmap).getAllByRole("listitem")).toHaveLength(4);
    expect(within(roadmap).getByText(/4 measures, 16 beats, 11 s, 15 s with the count-in/)).toBeTruthy();
    expect(screen.getByText(/dynamics in 1, 2; the part Piano/)).toBeTruthy();
    expect(screen.getByText("of quarter = 80–88")).toBeTruthy();
    expect(screen.getByText("Still F-sharp")).toBeTruthy();
    expect(screen.getByText("A 5")).toBeTruthy();
    expect(screen.getByText("Horns leap widest: a fifth at measure 1.")).toBeTruthy();
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

  it("briefs the section: how it comes in, what is new, where it goes wrong", async () => {
    const sent = at();
    page();
    const brief = await screen.findByRole("region", { name: "Brief" });
    expect(brief.textContent).toContain("Starts on C 5");
    expect(brief.textContent).toContain("1 2 3 4 (breathe), in on 1");
    expect(brief.textContent).toContain("F-sharp 4, 2 m. 2");
    expect(brief.textContent).toContain("The instrument itself sounds low on E 5 (open)");
    expect(await within(brief).findByText("the F-sharp")).toBeTruthy();
    expect(brief.textContent).toContain("breathe together");
    expect(brief.textContent).not.toContain("not theirs");
    expect(screen.getByText("The notes of line 4, Wet sand in another rhythm")).toBeTruthy();
    expect(await screen.findByText("Met before: measure 3 of line 4")).toBeTruthy();
    fireEvent.click(within(brief).getByRole("button", { name: "Change what you say here" }));
    fireEvent.change(within(brief).getByLabelText("Tip"), { target: { value: "second valve" } });
    fireEvent.click(within(brief).getByRole("button", { name: "Keep" }));
    expect(await screen.findByText("Kept with the line")).toBeTruthy();
    expect(sent.find((s) => s.method === "PUT")?.body).toEqual({
      trouble: "the F-sharp",
      tip: "second valve",
    });
  });

  it("shows fingers without a staff", async () => {
    at();
    page();
    fireEvent.click(await screen.findByRole("button", { name: "Fingers without staff" }));
    const rows = screen.getByRole("list", { name: "Fingers for Horn" });
    expect(within(rows).getByText("open")).toBeTruthy();
    expect(within(rows).getByText("fourth finger")).toBeTruthy();
    expect(within(rows).getByTitle("also 1-3")).toBeTruthy();
    expect(screen.queryByRole("img", { name: "Notation for Horn" })).toBeNull();
    fireEvent.keyDown(window, { key: "v" });
    expect(await screen.findByRole("img", { name: "Notation for Horn" })).toBeTruthy();
  });

  it("says what the hands do, what is new against the old fingering, and what sounds beside", async () => {
    at();
    page();
    const brief = await screen.findByRole("region", { name: "Brief" });
    expect(within(brief).getByText("Hand note for horn: measure 2")).toBeTruthy();
    expect(within(brief).getByText("From F 4 (1): 2 down, 1 up")).toBeTruthy();
    const under = await screen.findByRole("region", { name: "What sounds under you" });
    expect(within(under).getByText("Measure 2 is measure 1 again, over something else")).toBeTruthy();
    expect(screen.getByRole("checkbox", { name: "With the others" })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Make it a line of its own" }));
    expect(await screen.findByRole("link", { name: "On the shelf as a line of its own" })).toBeTruthy();
  });

  it("asks for a theme and for groups of another size", async () => {
    const sent = at();
    page();
    fireEvent.change(await screen.findByLabelText("Notes in a group"), { target: { value: "3" } });
    await vi.waitFor(() => expect(sent.some((s) => s.path.includes("groupSize=3"))).toBe(true));
    fireEvent.change(screen.getByLabelText("Theme"), { target: { value: "SLURS" } });
    await vi.waitFor(() => expect(sent.some((s) => s.path.includes("theme=SLURS"))).toBe(true));
  });

  it("rehearses step by step: clean goes on, again goes back", async () => {
    at();
    page();
    fireEvent.click(await screen.findByRole("button", { name: "Rehearse it" }));
    expect(screen.getByText("Step 1 of 2")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Clean (C)" }));
    expect(screen.getByText("♩ = 60")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Again (A)" }));
    expect(screen.getByText("♩ = 50")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Again (A)" }));
    fireEvent.click(screen.getByRole("button", { name: "Again (A)" }));
    expect(screen.getByText(/take fewer notes at a time/)).toBeTruthy();
    for (let i = 0; i < 4; i++) fireEvent.click(screen.getByRole("button", { name: "Clean (C)" }));
    expect(screen.getByText(/The ladder is climbed/)).toBeTruthy();
  });

  it("keeps a ladder, changes it step by step and goes back to the proposal", async () => {
    const sent = at();
    page();
    fireEvent.click(await screen.findByRole("button", { name: "Keep and edit" }));
    fireEvent.click(await screen.findByRole("button", { name: "Step 1 later" }));
    await vi.waitFor(() => expect(sent.filter((s) => s.method === "PUT")).toHaveLength(2));
    const put = sent.filter((s) => s.method === "PUT").at(-1)?.body as { steps: { kind: string }[] };
    expect(put.steps.map((s) => s.kind)).toEqual(["WHOLE", "ISOLATE"]);
    const tempo = screen.getByLabelText("Tempo of step 1");
    fireEvent.change(tempo, { target: { value: "9" } });
    fireEvent.blur(tempo);
    expect((tempo as HTMLInputElement).value).toBe("50");
    fireEvent.click(screen.getByRole("button", { name: "Back to the proposal" }));
    expect(await screen.findByLabelText("Minutes there are")).toBeTruthy();
  });

  it("says when facts alone are kept", async () => {
    at({ "GET /api/lines/l1/notes": new Refusal(404, "Only facts are kept of this line, no notes.") });
    page();
    expect(await screen.findByText(/Only facts are kept of this line/)).toBeTruthy();
    expect(await screen.findByRole("button", { name: "Type its notes" })).toBeTruthy();
    expect(screen.queryByText(/Choose a section/)).toBeNull();
    expect(screen.getByText("8 printed, 12 played")).toBeTruthy();
    expect(screen.getByText("dotted half")).toBeTruthy();
    expect(screen.getByText("D.C.")).toBeTruthy();
  });

  it("offers no typing where facts alone are kept of a book", async () => {
    at({
      "GET /api/lines/l1/notes": new Refusal(404, "Only facts are kept of this line, no notes."),
      "GET /api/books": [{ id: "b", title: "Tideline Method", volume: "Winds", notesKept: false, lines: 1 }],
    });
    page();
    expect(await screen.findByText(/Only facts are kept of this line/)).toBeTruthy();
    expect(await screen.findByRole("heading", { name: /Rope and pulley/ })).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Type its notes" })).toBeNull();
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
