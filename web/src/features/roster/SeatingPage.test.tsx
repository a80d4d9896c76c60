import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { moveTo, sectionsOf } from "./seating";
import { SeatingPage } from "./SeatingPage";
import { StudentForm } from "./StudentForm";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const chair = (studentId: string, name: string, instrument = "trumpet") => ({
  studentId,
  name,
  instrument,
  division: "",
});
const trumpets = [chair("s1", "Flo Hart"), chair("s2", "Ed Stone"), chair("s3", "Zed Last")];
const around = {
  "GET /api/instruments": [{ code: "trumpet", name: "Trumpet", plural: "Trumpets", family: "BRASS" }],
  "GET /api/classes": [{ id: "c1", name: "Winds", sections: [] }],
};

describe("seating", () => {
  it("moves a name with the arrow keys and keeps the section", async () => {
    const sent = server({
      ...around,
      "GET /api/classes/c1/seating": trumpets,
      "PUT /api/classes/c1/seating": undefined,
    });
    draw(<SeatingPage />);
    fireEvent.keyDown(await screen.findByRole("button", { name: /^Zed Last, chair 3, stand 2/ }), {
      key: "ArrowUp",
    });
    expect(await screen.findByText("Zed Last, chair 2")).toBeTruthy();
    expect(sent.find((one) => one.method === "PUT")?.body).toEqual({
      instrument: "trumpet",
      division: "",
      students: ["s1", "s3", "s2"],
    });
  });

  it("goes back where it was when it cannot be kept", async () => {
    server({
      ...around,
      "GET /api/classes/c1/seating": trumpets,
      "PUT /api/classes/c1/seating": new Refusal(409, "Somebody does not sit in this section any more."),
    });
    draw(<SeatingPage />);
    fireEvent.keyDown(await screen.findByRole("button", { name: /^Ed Stone, chair 2/ }), { key: "ArrowUp" });
    expect(await screen.findByText("Somebody does not sit in this section any more.")).toBeTruthy();
    expect(screen.getByRole("button", { name: /^Ed Stone, chair 2/ })).toBeTruthy();
  });

  it("knows its sections and its edges", () => {
    expect(sectionsOf([...trumpets, chair("h", "Hal", "horn")])).toHaveLength(2);
    expect(moveTo([1, 2, 3], 0, 2)).toEqual([2, 3, 1]);
    const same = [1, 2];
    expect(moveTo(same, 0, -1)).toBe(same);
  });
});

describe("somebody who is new", () => {
  it("is added with a seat, and what is missing is said at its field", async () => {
    const sent = server({ ...around, "PUT /api/students/": undefined, "POST /api/students/": undefined });
    draw(<StudentForm onDone={() => undefined} />);
    fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Ida Newell" } });
    fireEvent.click(screen.getByText("Add to the roster"));
    expect(await screen.findByText("Choose an instrument.")).toBeTruthy();
    await screen.findByText("Trumpet");
    fireEvent.change(screen.getByLabelText("Instrument"), { target: { value: "trumpet" } });
    fireEvent.click(screen.getByText("Add to the roster"));
    await vi.waitFor(() =>
      expect(sent.find((one) => one.method === "POST")?.body).toEqual({
        classId: "c1",
        instrument: "trumpet",
        division: "",
        startsOn: "2026-10-07",
      }),
    );
  });
});
