import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Milestone } from "../../api/types";
import { draw, Refusal, server } from "../../test/render";
import { BookShelf } from "./BookShelf";
import { LineEditPage } from "./LineEditPage";
import { LineImportPage } from "./LineImportPage";
import { emptyLine, formOf, requestOf } from "./lineForm";

const books = [
  { id: "b1", title: "Tideline Method", volume: "Winds", notesKept: true, lines: 1 },
  { id: "b2", title: "Shoreline Studies", volume: "", notesKept: false, lines: 0 },
];
const line = {
  id: "l1",
  kind: "LINE",
  shortName: "9",
  title: "Rope and pulley",
  line: { bookId: "b1", page: 8, concertKey: "F major", meter: "3/4", tempoBpm: 84 },
} as unknown as Milestone;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the shelf of books", () => {
  it("shows every book, and of which facts alone are kept", async () => {
    server({ "GET /api/books": books });
    draw(<BookShelf lines={[line]} director />);
    const tideline = await screen.findByRole("region", { name: "Tideline Method, Winds" });
    expect(within(tideline).getByRole("link", { name: "Rope and pulley" })).toBeTruthy();
    expect(within(tideline).getByRole("link", { name: "Import lines" })).toBeTruthy();
    const shoreline = screen.getByRole("region", { name: "Shoreline Studies" });
    expect(within(shoreline).getByText("facts alone are kept")).toBeTruthy();
    expect(within(shoreline).queryByRole("link", { name: "Import lines" })).toBeNull();
  });

  it("changes nothing for an assistant", async () => {
    server({ "GET /api/books": books });
    draw(<BookShelf lines={[line]} director={false} />);
    await screen.findByText("Rope and pulley");
    expect(screen.queryByRole("button")).toBeNull();
    expect(screen.queryByRole("link", { name: "Add a line" })).toBeNull();
  });

  it("adds a book and says what is wrong with it", async () => {
    let refuse = true;
    const sent = server({
      "GET /api/books": books,
      "POST /api/books": () => {
        const answer = refuse ? new Refusal(409, 'There is a book "Reef" already.') : { id: "b3" };
        refuse = false;
        return answer;
      },
    });
    draw(<BookShelf lines={[]} director />);
    fireEvent.click(await screen.findByRole("button", { name: "Add a book" }));
    fireEvent.change(screen.getByLabelText("Title"), { target: { value: "Reef" } });
    fireEvent.click(screen.getByLabelText(/We may keep its notes/));
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    expect((await screen.findByRole("alert")).textContent).toBe('There is a book "Reef" already.');
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    await screen.findByRole("button", { name: "Add a book" });
    expect(sent.filter((s) => s.method === "POST")[1]?.body).toEqual({
      title: "Reef",
      volume: "",
      notesKept: true,
    });
  });
});

describe("a line by its facts", () => {
  const page = () =>
    draw(
      <Routes>
        <Route path="/library/books/:bookId/lines/new" element={<LineEditPage />} />
        <Route path="/library/lines/:lineId" element={<p>the line</p>} />
      </Routes>,
      "/library/books/b2/lines/new",
    );

  it("is sent as typed and told what is wrong at its field", async () => {
    const sent = server({
      "GET /api/books": books,
      "POST /api/books/lines": new Refusal(422, "Pages are counted from 1."),
    });
    page();
    fireEvent.change(await screen.findByLabelText("Number"), { target: { value: "7" } });
    fireEvent.click(screen.getByRole("button", { name: "dotted half" }));
    fireEvent.click(screen.getByRole("button", { name: "slur" }));
    fireEvent.click(screen.getByRole("button", { name: "slur" }));
    fireEvent.click(screen.getByRole("button", { name: "Keep the line" }));
    expect(await screen.findByText("Pages are counted from 1.")).toBeTruthy();
    const body = sent.find((s) => s.method === "POST")?.body as Record<string, unknown>;
    expect(body).toMatchObject({ bookId: "b2", number: 7, page: 0, valuesIntroduced: ["dotted half"] });
    expect(body.signsIntroduced).toEqual([]);
  });

  it("opens the line when it is kept", async () => {
    server({ "GET /api/books": books, "POST /api/books/lines": { id: "l2" } });
    page();
    fireEvent.click(await screen.findByRole("button", { name: "Keep the line" }));
    expect(await screen.findByText("the line")).toBeTruthy();
  });

  it("keeps measures played empty where they are those printed", () => {
    const facts = { ...requestOf("b1", emptyLine), retired: false } as unknown as Parameters<
      typeof formOf
    >[0];
    expect(formOf({ ...facts, measures: 8, playedMeasures: 8 }).playedMeasures).toBe("");
    expect(formOf({ ...facts, measures: 8, playedMeasures: 12 }).playedMeasures).toBe("12");
    expect(requestOf("b1", { ...emptyLine, tempoBpm: "fast" }).tempoBpm).toBe(0);
  });
});

describe("many lines at once", () => {
  it("are looked at first, then the good ones kept", async () => {
    const lines = [
      {
        file: "a.abc",
        number: 1,
        page: 3,
        title: "Dune",
        concertKey: "F major",
        meter: "3/4",
        measures: 8,
        replaces: true,
        parts: [
          { id: "P1", name: "Flute 1", measures: 8, use: "everybody" },
          { id: "P2", name: "Flute 2", measures: 8, use: "flute/2" },
          { id: "P3", name: "Piano", measures: 8, use: "nobody", problem: "Measure 3 has a chord." },
        ],
        leftOut: ["dynamics in 3, 7"],
      },
      {
        file: "b.abc",
        number: 2,
        page: 3,
        title: "",
        measures: 0,
        replaces: false,
        parts: [],
        leftOut: [],
        problem: "Line 12, column 5: no note.",
      },
    ];
    const sent = server({
      "GET /api/books": books,
      "GET /api/instruments": [
        { code: "flute", name: "Flute" },
        { code: "oboe", name: "Oboe" },
      ],
      "POST /api/books/b1/import": (one: { path: string }) => ({
        lines,
        good: 1,
        refused: 1,
        kept: one.path.includes("keep=true"),
      }),
    });
    draw(
      <Routes>
        <Route path="/library/books/:bookId/import" element={<LineImportPage />} />
      </Routes>,
      "/library/books/b1/import",
    );
    fireEvent.change(await screen.findByLabelText("Files"), {
      target: { files: [new File(["X:1"], "a.abc")] },
    });
    expect(await screen.findByText("Found: 1 good, 1 not taken")).toBeTruthy();
    expect(screen.getByText("Line 12, column 5: no note.")).toBeTruthy();
    expect(screen.getByText("new notes for a line there is")).toBeTruthy();
    const parts = within(screen.getByRole("list", { name: "Parts of a.abc" }));
    const second = parts.getByRole<HTMLSelectElement>("combobox", { name: "Flute 2 is for" });
    await waitFor(() => expect(second.selectedOptions[0]?.textContent).toBe("Flute, second"));
    expect(parts.getByText("Measure 3 has a chord.")).toBeTruthy();
    expect(screen.getByText(/dynamics in 3, 7/)).toBeTruthy();
    fireEvent.change(second, { target: { value: "oboe" } });
    await waitFor(() => expect(sent.filter((s) => s.method === "POST")).toHaveLength(2));
    expect((sent.findLast((s) => s.method === "POST")?.form?.get("choices") ?? "") as string).toBe(
      '{"a.abc":{"P2":"oboe"}}',
    );
    await screen.findByRole("button", { name: "Keep 1 line" });
    fireEvent.click(screen.getByRole("button", { name: "Keep 1 line" }));
    expect(await screen.findByText("Kept: 1 good, 1 not taken")).toBeTruthy();
    await waitFor(() => expect(sent.filter((s) => s.method === "POST")).toHaveLength(3));
    expect(screen.queryByRole("combobox", { name: "Flute 2 is for" })).toBeNull();
  });
});
