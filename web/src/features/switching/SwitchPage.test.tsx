import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server, type Sent } from "../../test/render";
import { SwitchPage } from "./SwitchPage";

const seat = (classId: string, className: string, instrument: string) => ({
  classId,
  className,
  instrument,
  division: "",
});
const students = [
  {
    id: "wren",
    name: "Wren Halloran",
    sortName: "Halloran, Wren",
    seats: [seat("c1", "Beginning Winds", "trumpet"), seat("c2", "Jazz", "trumpet")],
  },
  { id: "gus", name: "Gus Pike", sortName: "Pike, Gus", seats: [seat("c1", "Beginning Winds", "flute")] },
];

const thing = (shortName: string) => ({ milestoneId: shortName, shortName, title: `The ${shortName}` });
const view = {
  studentId: "wren",
  classId: "c1",
  name: "Wren Halloran",
  className: "Beginning Winds",
  from: "trumpet",
  fromName: "Trumpet",
  to: "horn",
  toName: "Horn",
  alsoOn: ["Jazz"],
  counts: [thing("rhythm 4")],
  staysOnRecord: [thing("line 3"), thing("line 4")],
  passedBefore: [],
  noLongerAsked: [],
  opensAnew: [
    { ...thing("line 3"), newNotes: ["D 4"], known: false },
    { ...thing("line 9"), newNotes: [], known: false, dueOn: "2027-01-29" },
  ],
  belts: [
    {
      belt: {
        id: "b",
        ladder: "winds",
        rank: 1,
        name: "Driftwood",
        color: "#B79B78",
        weave: "diagonal",
        knots: 1,
      },
      earnedBefore: true,
      filled: 1,
      slots: 4,
    },
  ],
  keepsAll: false,
  hands: [
    { note: "C 4", was: "open", is: "open", kept: "SAME_FINGERS" },
    { note: "D 4", was: "1-3", is: "1", kept: "NEW" },
  ],
};
const track = {
  classId: "c1",
  className: "Beginning Winds",
  instrument: "horn",
  instrumentName: "Horn",
  names: ["Wren Halloran"],
  weeks: [{ setOn: "2027-01-25", dueOn: "2027-01-29", milestones: [thing("line 3")] }],
  withoutWeek: [],
};

function at(answers: Record<string, unknown> = {}): Sent[] {
  return server({
    "GET /api/students": students,
    "GET /api/instruments": [
      { code: "horn", name: "Horn", family: "BRASS" },
      { code: "trumpet", name: "Trumpet", family: "BRASS" },
    ],
    "POST /api/switches/preview": { students: [view], tracks: [track] },
    "POST /api/switches": { students: 1, orders: 1 },
    ...answers,
  });
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const choose = async (label: RegExp, value: string) => {
  const field = await screen.findByLabelText(label);
  if (field instanceof HTMLSelectElement) await within(field).findByRole("option", { name: /Horn/ });
  fireEvent.change(field, { target: { value } });
};

describe("switching instruments", () => {
  it("tells what it means before anything is done", async () => {
    at();
    draw(<SwitchPage />, "/roster/switch?class=c1&student=wren");
    await choose(/New instrument of Wren/, "horn");
    const hands = await screen.findByRole("region", { name: "What the hand keeps" });
    expect(hands.textContent).toContain("No note is taken in the same way; C4 keeps its fingers.");
    const meaning = screen.getByLabelText("What it means");
    expect(meaning.textContent).toContain("Comes along 1rhythm 4");
    expect(meaning.textContent).toContain("Stays on record for trumpet 2line 3, line 4");
    expect(meaning.textContent).toContain("Plays trumpet onin Jazz");
    const anew = within(meaning).getByRole("region", { name: "Opens anew" });
    expect(anew.textContent).toContain("line 3new: D4");
    expect(anew.textContent).toMatch(/line 9due .*29.* with the section/);
    expect(meaning.textContent).toContain("Driftwood earned on trumpet, it stays; 1 of 4 on horn");
    expect(screen.getByRole("region", { name: "Catch-up track, Horn" }).textContent).toContain(
      "for Wren Halloran",
    );
  });

  it("sends several in one act", async () => {
    const sent = at({ "POST /api/switches/preview": { students: [view], tracks: [] } });
    draw(<SwitchPage />, "/roster/switch?class=c1&student=wren");
    await choose(/New instrument of Wren/, "horn");
    await choose(/Add somebody/, "pike");
    fireEvent.keyDown(screen.getByLabelText(/Add somebody/), { key: "Enter" });
    await choose(/New instrument of Gus/, "horn");
    fireEvent.change(screen.getByLabelText("From"), { target: { value: "2027-01-25" } });
    fireEvent.click(await screen.findByRole("button", { name: "Switch 2 students" }));
    await screen.findByText(/One student changes instrument on .*25/);
    const act = sent.find((one) => one.path === "/api/switches");
    expect(act?.body).toMatchObject({
      from: "2027-01-25",
      catchUp: true,
      students: [
        { studentId: "wren", classId: "c1", instrument: "horn" },
        { studentId: "gus", classId: "c1", instrument: "horn" },
      ],
    });
  });

  it("borrows for some days, without a track", async () => {
    const sent = at();
    draw(<SwitchPage />, "/roster/switch?class=c1&student=wren");
    await choose(/New instrument of Wren/, "horn");
    await choose(/^From/, "2027-01-25");
    fireEvent.click(screen.getByLabelText(/Borrowed/));
    expect(screen.getByLabelText<HTMLInputElement>("Last day").value).toBe("2027-01-31");
    expect(screen.queryByText("Catch-up track")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Switch" }));
    await screen.findByText(/changes instrument/);
    expect(sent.find((one) => one.path === "/api/switches")?.body).toMatchObject({
      until: "2027-01-31",
      catchUp: false,
    });
  });

  it("says who cannot, and waits", async () => {
    at({
      "POST /api/switches/preview": {
        students: [{ ...view, refused: "That is the instrument of before: Trumpet." }],
        tracks: [],
      },
    });
    draw(<SwitchPage />, "/roster/switch?class=c1&student=wren");
    await choose(/New instrument of Wren/, "trumpet");
    expect((await screen.findByRole("alert")).textContent).toContain(
      "Wren Halloran: That is the instrument of before",
    );
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Switch" }).disabled).toBe(true);
  });

  it("keeps the list when the server refuses", async () => {
    at({ "POST /api/switches": new Refusal(422, "Wren Halloran: the class has ended by then.", "classId") });
    draw(<SwitchPage />, "/roster/switch?class=c1&student=wren");
    await choose(/New instrument of Wren/, "horn");
    await screen.findByRole("region", { name: "What the hand keeps" });
    fireEvent.click(screen.getByRole("button", { name: "Switch" }));
    await screen.findByText(/the class has ended/);
    expect(screen.getByLabelText<HTMLInputElement>(/New instrument of Wren/).value).toBe("horn");
  });
});
