import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { TestDraft } from "../../api/types";
import { draw, Refusal, server } from "../../test/render";
import { TestEditPage } from "./TestEditPage";

const draft: TestDraft = {
  shortName: "Test 1",
  title: "Test 1",
  parts: [],
  conditions: {
    tolerancePercent: 10,
    countInMeasures: 1,
    fullValues: true,
    accompaniment: "ALONE",
    memory: false,
    fermata: "STUDENT",
    besides: "",
  },
  rubric: { name: "Winds", mark: 3, criteria: [{ name: "Sound", topPoints: 4, weight: 2, levels: [] }] },
  retakes: { counting: "BEST", latePercent: 100, substitutePercent: 100 },
  listeners: 1,
};

const line = {
  id: "l12",
  kind: "LINE",
  shortName: "12",
  title: "Gull parade",
  line: { book: "Tideline Method, Winds" },
  criteria: [],
  appliesTo: [],
};

function page(answer: unknown) {
  const seen = server({
    "GET /api/playing-tests/first": draft,
    "GET /api/library": { milestones: [line], belts: [] },
    "GET /api/instruments": [{ code: "clarinet", name: "Clarinet", family: "WOODWIND" }],
    "GET /api/rubrics": { own: [], shipped: [draft.rubric] },
    "POST /api/playing-tests": answer,
  });
  draw(
    <Routes>
      <Route path="/library/tests/new" element={<TestEditPage />} />
      <Route path="/library/tests/:milestoneId" element={<p>the test</p>} />
    </Routes>,
    "/library/tests/new",
  );
  return seen;
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("building a playing test", () => {
  it("puts together parts, excerpts and variants, and keeps them", async () => {
    const sent = page({ milestoneId: "t" });
    const sought = await screen.findByLabelText("A line or a check");
    fireEvent.change(sought, { target: { value: "12" } });
    fireEvent.keyDown(sought, { key: "Enter" });
    fireEvent.change(await screen.findByLabelText("First measure of part 1"), { target: { value: "3" } });
    fireEvent.change(screen.getByLabelText("Last measure of part 1"), { target: { value: "5" } });
    fireEvent.click(screen.getByRole("button", { name: /A section that plays otherwise/ }));
    fireEvent.change(screen.getByLabelText("Octave of variant 1 of part 1"), { target: { value: "1" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep this test" }));
    await waitFor(() => expect(screen.getByText("the test")).toBeTruthy());
    const kept = sent.find((one) => one.method === "POST")?.body as TestDraft;
    expect(kept.parts).toEqual([
      {
        milestoneId: "l12",
        excerpt: { from: 3, to: 5, repeats: false },
        variants: [{ instrument: "clarinet", division: "", octaves: 1, position: "", string: "" }],
      },
    ]);
  });

  it("says what cannot be, and keeps what was typed", async () => {
    page(new Refusal(422, "A test has 1 to 6 parts.", "parts"));
    fireEvent.change(await screen.findByLabelText("Title"), { target: { value: "My test" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep this test" }));
    expect((await screen.findByRole("alert")).textContent).toContain("1 to 6 parts");
    expect((screen.getByLabelText("Title") as HTMLInputElement).value).toBe("My test");
  });
});
