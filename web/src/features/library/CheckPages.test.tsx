import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server, type Sent } from "../../test/render";
import { CheckEditPage } from "./CheckEditPage";
import { CheckPage } from "./CheckPage";

const draft = {
  title: "Flute: shelf",
  shortName: "Hold",
  topic: "HOLD",
  appliesTo: ["flute"],
  instrumentFree: false,
  steps: [{ text: "Make the shelf", cue: "Shelf" }, { text: "Thumb under" }],
  criteria: [
    { name: "Shelf", mustSee: false },
    { name: "Thumb", mustSee: false },
  ],
  selfTest: "Let go.",
  syllables: [],
  faults: [{ sign: "Rolls in", remedies: ["Thumb further under"] }],
  cautions: ["PAIN"],
  variants: [],
  tones: [],
  pass: { rule: "K_OF_LAST_N", k: 4, n: 5 },
};

const cautions = [
  { caution: "PAIN", sentence: "Pain: stop." },
  { caution: "HEARING", sentence: "Loud: protect." },
];

const described = {
  milestoneId: "m1",
  before: [{ milestoneId: "m0", title: "Sit tall" }],
  check: {
    title: "Flute: shelf",
    topic: "HOLD",
    appliesTo: ["flute"],
    steps: ["Shelf", "Thumb under"],
    cues: [{ step: 1, fullStep: "Make the shelf" }],
    criteria: ["Shelf", "Thumb"],
    mustSee: [2],
    selfTest: "Let go.",
    why: "A flute at rest leaves the fingers free",
    seenFrom: "SIDE",
    notFor: "Short arms take a curved head joint.",
    backTo: "Breathe low",
    measured: { name: "Longest steady tone", unit: "s", aim: 8 },
    syllables: [],
    faults: [{ sign: "Rolls in", remedies: ["Thumb further under"] }],
    cautions: ["Pain: stop."],
    variants: [{ name: "Helper hold", note: "at first", reviewWeeks: 4 }],
    tones: [{ instrument: "flute", instrumentName: "Flute", pitch: "A 5", hertz: 880 }],
  },
};

const library = {
  milestones: [
    {
      id: "m1",
      kind: "TECHNIQUE_CHECK",
      shortName: "Hold",
      title: "Flute: shelf",
      appliesTo: ["flute"],
      version: 1,
      passRule: "4 of the last 5 tries",
      criteria: [],
    },
  ],
  belts: [],
};

function at(answers: Record<string, unknown> = {}): Sent[] {
  return server({
    "GET /api/checks/m1/draft": { draft, version: 1, retired: false, cautions },
    "GET /api/checks/m1/demonstrations": [
      { id: "d1", name: "tone.wav", mediaType: "audio/wav", size: 100 },
      { id: "d2", name: "sheet.pdf", mediaType: "application/pdf", size: 100 },
      { id: "d3", name: "slumped.png", mediaType: "image/png", size: 100, shows: "WRONG" },
      { id: "d4", name: "tall.png", mediaType: "image/png", size: 100, shows: "RIGHT" },
    ],
    "GET /api/checks/cautions": cautions,
    "GET /api/checks/m1": described,
    "GET /api/library": library,
    "GET /api/instruments": [
      { code: "flute", name: "Flute", plural: "Flutes", family: "WOODWIND" },
      { code: "tuba", name: "Tuba", plural: "Tubas", family: "BRASS" },
    ],
    "POST /api/checks/m1/retire": undefined,
    "POST /api/checks/m1": undefined,
    "POST /api/checks": { milestoneId: "m9" },
    ...answers,
  });
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const edit = (address: string) =>
  draw(
    <Routes>
      <Route path="/library/checks/new" element={<CheckEditPage />} />
      <Route path="/library/checks/:milestoneId/edit" element={<CheckEditPage />} />
      <Route path="/library/checks/:milestoneId" element={<p>kept</p>} />
    </Routes>,
    address,
  );
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("what a check says around its steps", () => {
  const page = () =>
    draw(
      <Routes>
        <Route path="/library/checks/:milestoneId" element={<CheckPage director />} />
      </Routes>,
      "/library/checks/m1?class=c1&instrument=flute",
    );

  it("says why, from where, for whom not, what is measured and where one falls back to", async () => {
    at();
    page();
    expect(await screen.findByText("A flute at rest leaves the fingers free.")).toBeTruthy();
    expect(screen.getByText(/^Seen from the side, passes by/)).toBeTruthy();
    expect(screen.getByText("Short arms take a curved head joint.")).toBeTruthy();
    expect(screen.getByText("Breathe low")).toBeTruthy();
    expect(screen.getByText(/is kept in s with every try, towards/)).toBeTruthy();
  });

  it("shows what is wrong on purpose beside what is right", async () => {
    at();
    page();
    expect(await screen.findByRole("heading", { name: "Wrong on purpose" })).toBeTruthy();
    expect(screen.getByRole("img", { name: "slumped.png" })).toBeTruthy();
    expect(screen.getByRole("heading", { name: "Right" })).toBeTruthy();
  });

  it("asks for the parts by their numbers, and shows the notes the book begins with", async () => {
    at({
      "GET /api/checks/m1": { ...described, check: { ...described.check, topic: "HANDLING" } },
      "GET /api/instruments/flute/parts": {
        kind: "flute",
        parts: [
          { number: 1, name: "crown", never: true },
          { number: 3, name: "head joint", never: false },
        ],
      },
    });
    page();
    const parts = within(await screen.findByRole("region", { name: "Parts" }));
    expect(parts.getByRole("img", { name: "Drawing with 2 numbered parts" })).toBeTruthy();
    fireEvent.click(parts.getByRole("button", { name: "Ask without names" }));
    expect(parts.queryByText("head joint")).toBeNull();
    for (let i = 0; i < 2; i++) {
      fireEvent.click(parts.getByRole("button", { name: "Show the name" }));
      expect(parts.getByText(/crown|head joint/)).toBeTruthy();
      fireEvent.click(parts.getByRole("button", { name: "Next" }));
    }
    expect(parts.getByText("All 2 parts were asked.")).toBeTruthy();
    cleanup();
    at({
      "GET /api/checks/m1": { ...described, check: { ...described.check, topic: "FIRST_NOTES" } },
      "GET /api/lines/first-notes": {
        book: "Tideline Method, Winds",
        notes: [{ note: "D 5", fingering: "fingers T 123" }],
      },
    });
    page();
    expect(await screen.findByText("D 5")).toBeTruthy();
    expect(screen.getByText("fingers T 123")).toBeTruthy();
  });
});

describe("editing a check", () => {
  it("sends the edit with the version it was made from", async () => {
    const sent = at();
    edit("/library/checks/m1/edit?class=c1");
    expect(await screen.findByText("Version 1; keeping makes version 2.")).toBeTruthy();
    type("Cue word for step 2", "Thumb!");
    fireEvent.click(await screen.findByRole("button", { name: "Tuba" }));
    fireEvent.click(screen.getByLabelText("Loud: protect."));
    fireEvent.click(screen.getByRole("button", { name: "A criterion" }));
    type("Criterion 3", "Wrist");
    fireEvent.click(screen.getByRole("button", { name: "Take criterion 1 away" }));
    type("Good tries", "3");
    fireEvent.click(screen.getByRole("button", { name: "Keep this check" }));
    expect(await screen.findByText("kept")).toBeTruthy();
    expect(sent.find((s) => s.method === "POST")?.body).toMatchObject({
      version: 1,
      draft: {
        appliesTo: ["flute", "tuba"],
        cautions: ["PAIN", "HEARING"],
        steps: [
          { text: "Make the shelf", cue: "Shelf" },
          { text: "Thumb under", cue: "Thumb!" },
        ],
        criteria: [{ name: "Thumb" }, { name: "Wrist" }],
        pass: { rule: "K_OF_LAST_N", k: 3, n: 5 },
      },
    });
  });

  it("keeps what was typed when the server refuses it", async () => {
    at({
      "POST /api/checks/m1": new Refusal(422, "6 good tries cannot be among the last 5; ask for 5 or fewer."),
    });
    edit("/library/checks/m1/edit?class=c1");
    await screen.findByLabelText("Title");
    type("Title", "Flute: my shelf");
    type("Good tries", "6");
    fireEvent.click(screen.getByRole("button", { name: "Keep this check" }));
    expect((await screen.findByRole("alert")).textContent).toContain(
      "6 good tries cannot be among the last 5",
    );
    expect((screen.getByLabelText("Title") as HTMLInputElement).value).toBe("Flute: my shelf");
  });

  it("writes a new one, and chooses what comes before by hand", async () => {
    const sent = at();
    edit("/library/checks/new?class=c1");
    await screen.findByLabelText("Title");
    type("Title", "My own");
    fireEvent.change(screen.getByLabelText("Passed by"), { target: { value: "SCORE_AT_LEAST" } });
    fireEvent.click(screen.getAllByLabelText("must be seen")[0]!);
    fireEvent.click(screen.getByLabelText("Told from what it is about"));
    fireEvent.click(await screen.findByLabelText("Flute: shelf"));
    fireEvent.click(screen.getByRole("button", { name: "Keep this check" }));
    expect(await screen.findByText("kept")).toBeTruthy();
    expect(sent.find((s) => s.method === "POST")?.body).toMatchObject({
      title: "My own",
      after: ["m1"],
      pass: { rule: "SCORE_AT_LEAST", mark: 3 },
      criteria: [{ mustSee: true }, { mustSee: false }, { mustSee: false }],
    });
  });
});

describe("a check's page", () => {
  const page = (director: boolean) =>
    draw(
      <Routes>
        <Route path="/library/checks/:milestoneId" element={<CheckPage director={director} />} />
      </Routes>,
      "/library/checks/m1?class=c1",
    );

  it("shows cue words, what must be seen, the target tone and demonstrations", async () => {
    at();
    page(false);
    expect(await screen.findByText("Make the shelf")).toBeTruthy();
    expect(screen.getByText("Thumb", { selector: "li" }).className).toContain("underline");
    expect(screen.getByRole("button", { name: "Target tone A 5" })).toBeTruthy();
    expect(await screen.findByLabelText("tone.wav")).toBeTruthy();
    expect(screen.getByRole("link", { name: "sheet.pdf" }).getAttribute("download")).toBe("sheet.pdf");
    expect(screen.queryByRole("link", { name: "Edit" })).toBeNull();
    expect(screen.queryByRole("button", { name: "Attach a demonstration" })).toBeNull();
  });

  it("lets a director retire it, with a way back", async () => {
    const sent = at();
    page(true);
    fireEvent.click(await screen.findByRole("button", { name: "Retire" }));
    expect(await screen.findByText("Off the shelf; orders and passes stay")).toBeTruthy();
    expect(sent.some((s) => s.path === "/api/checks/m1/retire")).toBe(true);
    expect(screen.getByRole("button", { name: "Undo" })).toBeTruthy();
  });

  it("tells when nothing more is written", async () => {
    at({ "GET /api/checks/m1": new Refusal(404, "Nothing more is written about this check.") });
    page(true);
    expect(await screen.findByText(/Nothing more than its criteria is written/)).toBeTruthy();
  });
});
