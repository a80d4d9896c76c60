import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { auditWords } from "./auditWords";
import { KeptPart } from "./KeptPart";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const audit = [
  { happenedAt: "2026-10-07T14:00:00Z", by: "Odalys Quayle", what: "READ_PAIN_REPORTS", about: "Ana Reed" },
  { happenedAt: "2026-10-07T13:00:00Z", what: "ERASED", about: "Erased 3F2A11" },
];

describe("what is kept", () => {
  it("says how long names are kept and who looked", async () => {
    const sent = server({
      "GET /api/audit": audit,
      "GET /api/retention": { keepYears: 3 },
      "PUT /api/retention": undefined,
    });
    draw(<KeptPart />);
    expect(await screen.findByText("Odalys Quayle read reports of pain of Ana Reed")).toBeTruthy();
    expect(screen.getByText("The programme's rule erased a student, now Erased 3F2A11")).toBeTruthy();
    const years = (await screen.findByLabelText(/Names and words/)) as HTMLSelectElement;
    expect(years.value).toBe("3");
    fireEvent.change(years, { target: { value: "" } });
    expect(await screen.findByText("Names are kept for good")).toBeTruthy();
    expect(sent.find((s) => s.method === "PUT")?.body).toEqual({});
  });

  it("says what cannot be read, and reads again", async () => {
    server({ "GET /api/audit": new Refusal(503, "The database does not answer."), "GET /api/retention": {} });
    draw(<KeptPart />);
    expect((await screen.findByRole("alert")).textContent).toContain("does not answer");
  });

  it.each([
    ["SIGNED_IN", undefined, "Bram signed in"],
    ["EXPORTED", "Winds", "Bram took out the board of Winds"],
    ["EXPORTED", undefined, "Bram took out a list of students"],
  ] as const)("words %s", (what, about, words) => {
    expect(auditWords({ happenedAt: "", by: "Bram", what, about })).toBe(words);
  });
});
