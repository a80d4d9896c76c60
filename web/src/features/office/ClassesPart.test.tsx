import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { ClassesPart } from "./ClassesPart";
import { timePlaceOf, toggled, withPeriod, type TimeDraft } from "./classForm";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const bell = { campus: "", period: 2, startsAt: "09:05", minutes: 50 };
const year = {
  id: "y1",
  name: "2026–2027",
  firstDay: "2026-08-24",
  lastDay: "2027-06-11",
  rotation: ["A", "B"],
  entries: [],
  bells: [bell],
};
const winds = {
  id: "c1",
  name: "Winds",
  campus: "Cobble Point",
  shape: "MIXED_BEGINNERS",
  meets: [{ weekdays: [], letters: ["A"], period: 2, startsAt: "09:05", minutes: 50, campus: "" }],
  when: "A-days, period 2",
  students: 2,
  sections: [{ instrument: "flute", division: "", students: 2, wanted: 4 }],
};
const around = {
  "GET /api/session": { role: "DIRECTOR", today: "2026-10-07" },
  "GET /api/years": [year],
  "GET /api/instruments": [{ code: "flute", name: "Flute", plural: "Flutes", family: "WOODWIND" }],
  "GET /api/classes/ended": [],
};

describe("classes", () => {
  it("the first is typed at once: weekdays, letters and the times its period brings", async () => {
    const sent = server({ ...around, "GET /api/classes": [], "PUT /api/classes/": undefined });
    draw(<ClassesPart />);
    fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Strings" } });
    const time = within(screen.getByRole("group", { name: "Time 1" }));
    fireEvent.click(time.getByRole("button", { name: "Monday" }));
    fireEvent.click(time.getByRole("button", { name: "B-days" }));
    fireEvent.change(time.getByLabelText("Period of time 1"), { target: { value: "2" } });
    expect(time.getByLabelText<HTMLInputElement>("Start of time 1").value).toBe("09:05");
    fireEvent.click(screen.getByText("Add class"));
    expect(await screen.findByText("Strings added")).toBeTruthy();
    expect(sent.find((one) => one.method === "PUT")?.body).toEqual({
      name: "Strings",
      campus: "",
      shape: "MIXED_BEGINNERS",
      meets: [
        { weekdays: ["MONDAY"], letters: ["B"], period: 2, startsAt: "09:05", minutes: 50, campus: "" },
      ],
      wanted: [],
    });
  });

  it("says at the time what stands in the way, and nothing typed is lost", async () => {
    server({
      ...around,
      "GET /api/classes": [winds],
      "PUT /api/classes/c1": new Refusal(422, "A class meets for 5 to 240 minutes.", "meets[0].minutes"),
    });
    draw(<ClassesPart />);
    fireEvent.click(await screen.findByRole("button", { name: "Change Winds" }));
    expect(screen.getByText("Flute 2 of 4 wanted")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Minutes of time 1"), { target: { value: "900" } });
    fireEvent.click(screen.getByText("Keep the class"));
    expect(await screen.findByText("A class meets for 5 to 240 minutes.")).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>("Minutes of time 1").value).toBe("900");
  });

  it("ends, and goes on by undo", async () => {
    const sent = server({
      ...around,
      "GET /api/classes": [winds],
      "POST /api/classes/c1/end": undefined,
      "DELETE /api/classes/c1/end": undefined,
    });
    draw(<ClassesPart />);
    fireEvent.click(await screen.findByRole("button", { name: "Change Winds" }));
    fireEvent.change(screen.getByLabelText("Day"), { target: { value: "2026-10-30" } });
    fireEvent.click(screen.getByText("End Winds"));
    expect(await screen.findByText("Winds ends on 30 Oct")).toBeTruthy();
    fireEvent.click(screen.getByText(/^Undo/));
    await vi.waitFor(() => expect(sent.some((one) => one.method === "DELETE")).toBe(true));
  });
});

describe("a time of meeting", () => {
  const time = { period: "1", startsAt: "08:00", minutes: "45", campus: "Saltgrass" } as TimeDraft;

  it("has the bells of its own campus before those of every campus", () => {
    const own = { campus: "saltgrass", period: 2, startsAt: "09:40", minutes: 40 };
    expect(withPeriod(time, "2", "", [bell, own]).startsAt).toBe("09:40");
    expect(withPeriod({ ...time, campus: "" }, "2", "", [bell, own]).startsAt).toBe("09:05");
    expect(withPeriod(time, "7", "", [bell]).startsAt).toBe("08:00");
  });

  it("is found in the field of a refusal", () => {
    expect(timePlaceOf("meets[3].startsAt")).toEqual({ place: 3, part: "startsAt" });
    expect(timePlaceOf("name")).toBeUndefined();
    expect(toggled(["A"], "A")).toEqual([]);
  });
});
