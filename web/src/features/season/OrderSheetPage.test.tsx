import { cleanup, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Milestone } from "../../api/types";
import { draw, server } from "../../test/render";
import { BeforeThis } from "./BeforeThis";
import { OrderSheetPage } from "./OrderSheetPage";

const item = {
  milestoneId: "m1",
  kind: "TECHNIQUE_CHECK",
  title: "Weekly check",
  dueOn: "2026-10-05",
  heard: true,
  substituteAccepted: false,
  news: [] as string[],
  fingers: [] as string[],
  rehearsed: [],
  applies: [],
  traps: [] as string[],
};
const sheet = {
  className: "Chamber Strings",
  monday: "2026-09-28",
  friday: "2026-10-02",
  parts: [
    {
      instrument: "violin",
      name: "Violins",
      division: "First",
      students: 6,
      items: [
        {
          ...item,
          line: "page 8, line 9",
          writtenKey: "G major",
          place: "A string",
          pattern: "2 and 3 close",
          drill: "Four bows",
          news: ["C-sharp, second finger"],
          rehearsed: [],
          applies: [],
          traps: ["Measure 3: the F is still sharp."],
          roadmap: "1–8, 1–7, 9",
        },
      ],
      carriedOver: [{ title: "line 8", students: 2 }],
      care: "Rosin and wipe",
    },
    {
      instrument: "cello",
      name: "Cellos",
      division: "",
      students: 5,
      items: [{ ...item, place: "D string" }],
      carriedOver: [],
    },
    { instrument: "trumpet", name: "Trumpets", division: "", students: 2, items: [], carriedOver: [] },
  ],
};
const instruments = [
  { code: "violin", name: "Violin", plural: "Violins", family: "STRING" },
  { code: "cello", name: "Cello", plural: "Cellos", family: "STRING" },
  { code: "trumpet", name: "Trumpet", plural: "Trumpets", family: "BRASS" },
];

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const at = (answer: unknown = sheet) =>
  server({ "GET /api/season/sheet": answer, "GET /api/instruments": instruments });

describe("the order sheet", () => {
  it("goes onto paper for the class, or a small page for each section", async () => {
    at();
    draw(<OrderSheetPage />, "/season/sheet?class=c1");
    const link = await screen.findByRole("link", { name: "A5" });
    expect(link.getAttribute("href")).toBe("/api/season/sheet/sheet.pdf?classId=c1&on=2026-09-28&paper=A5");
    expect(link.hasAttribute("download")).toBe(true);
  });

  it("shows each section its own line, key, place, pattern and drill", async () => {
    at();
    draw(<OrderSheetPage />, "/season/sheet?class=c1");
    const violins = (await screen.findByRole("heading", { name: /Violins, First/ })).closest("li")!;
    for (const words of [
      "Weekly check",
      "page 8, line 9 in G major",
      "Four bows",
      "Measure 3: the F is still sharp.",
    ]) {
      expect(within(violins).getByText(words)).toBeTruthy();
    }
    expect(within(violins).getByText(/2 and 3 close/)).toBeTruthy();
    expect(within(violins).getByText(/C-sharp, second finger/)).toBeTruthy();
    expect(within(violins).getByText(/line 8 \(2\)/)).toBeTruthy();
    expect(within(violins).getByText(/Rosin and wipe/)).toBeTruthy();
    expect(screen.getByText("Nothing this week.")).toBeTruthy();
  });

  it("keeps to the section or family chosen", async () => {
    at();
    draw(<OrderSheetPage />, "/season/sheet?class=c1&instrument=cello");
    expect(await screen.findByText("D string")).toBeTruthy();
    expect(screen.queryByText("A string")).toBeNull();
    cleanup();
    draw(<OrderSheetPage />, "/season/sheet?class=c1&family=BRASS");
    expect(await screen.findByText("Nothing is set for this week.")).toBeTruthy();
  });

  it("asks for a class", () => {
    at();
    draw(<OrderSheetPage />, "/season/sheet?class=all");
    expect(screen.getByText("Choose a class at the left for its order sheet.")).toBeTruthy();
  });
});

describe("what comes before an order", () => {
  const check = { id: "m1", title: "First sound" } as Milestone;

  it("names who has still to pass it", async () => {
    server({
      "GET /api/checks/m1/readiness": [
        { milestoneId: "m0", title: "Hold", asked: 8, missing: ["Ana"] },
        { milestoneId: "m2", title: "Body", asked: 8, missing: [] },
      ],
    });
    draw(<BeforeThis checks={[check]} scopes={[{ classId: "c1" }]} />);
    expect((await screen.findByRole("region", { name: "Comes before" })).textContent).toBe(
      "Hold comes before “First sound”: Ana has not passed it",
    );
  });

  it("says nothing where everybody is ready", async () => {
    server({ "GET /api/checks/m1/readiness": [] });
    const { container } = draw(<BeforeThis checks={[check]} scopes={[{ classId: "c1" }]} />);
    await new Promise((done) => setTimeout(done, 20));
    expect(container.querySelector("section")).toBeNull();
  });
});
