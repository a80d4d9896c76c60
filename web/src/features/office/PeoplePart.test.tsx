import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { PeoplePart } from "./PeoplePart";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const winds = {
  id: "c1",
  name: "Winds",
  sections: [
    { instrument: "trumpet", division: "", students: 2 },
    { instrument: "clarinet", division: "First", students: 1 },
  ],
};
const around = {
  "GET /api/people": [],
  "GET /api/classes": [winds],
  "GET /api/instruments": [
    { code: "trumpet", name: "Trumpet", family: "BRASS" },
    { code: "clarinet", name: "Clarinet", family: "WOODWIND" },
  ],
};

describe("inviting", () => {
  it("a coach has ticked sections, and the link is shown once", async () => {
    const sent = server({
      ...around,
      "GET /api/invitations": [],
      "POST /api/invitations": { id: "i1", token: "abc-def", goodUntil: "2026-10-21T08:00:00Z" },
    });
    draw(<PeoplePart />);
    fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Io Bream" } });
    fireEvent.change(screen.getByLabelText("As"), { target: { value: "SECTION_COACH" } });
    fireEvent.click(await screen.findByLabelText("Clarinet First"));
    fireEvent.click(screen.getByText("Make a link"));
    expect((await screen.findByLabelText<HTMLInputElement>("Link")).value).toMatch(/\/invitation#abc-def$/);
    expect(sent.find((one) => one.method === "POST")?.body).toEqual({
      displayName: "Io Bream",
      role: "SECTION_COACH",
      sections: [{ classId: "c1", instrument: "clarinet", division: "First" }],
    });
    fireEvent.click(screen.getByText("Done"));
    expect(screen.queryByLabelText("Link")).toBeNull();
  });

  it("says what became of an invitation, and takes it back", async () => {
    const sent = server({
      ...around,
      "GET /api/invitations": [
        { id: "i1", displayName: "Bram Yule", role: "ASSISTANT", goodUntil: "2026-10-21T08:00:00Z" },
        {
          id: "i2",
          displayName: "Una Fell",
          role: "ASSISTANT",
          goodUntil: "2026-09-01T08:00:00Z",
          fault: "LATE",
        },
        {
          id: "i3",
          displayName: "Ola Vent",
          role: "ASSISTANT",
          goodUntil: "2026-09-01T08:00:00Z",
          fault: "USED",
        },
      ],
      "DELETE /api/invitations/i1": undefined,
    });
    draw(<PeoplePart />);
    expect(await screen.findByText("assistant, not used in time")).toBeTruthy();
    expect(screen.queryByText("Ola Vent")).toBeNull();
    fireEvent.click(screen.getByText("Take the link of Bram Yule back"));
    await vi.waitFor(() => expect(sent.some((one) => one.method === "DELETE")).toBe(true));
  });

  it("says at the name what is missing", async () => {
    server({
      ...around,
      "GET /api/invitations": [],
      "POST /api/invitations": new Refusal(422, "Say who is invited.", "displayName"),
    });
    draw(<PeoplePart />);
    fireEvent.click(await screen.findByText("Make a link"));
    expect(await screen.findByText("Say who is invited.")).toBeTruthy();
  });
});
