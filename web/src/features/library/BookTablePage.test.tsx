import { cleanup, fireEvent, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { BookTablePage } from "./BookTablePage";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const around = {
  "GET /api/books/b1/table": { rows: [], ignoredHeadings: [] },
  "GET /api/books": [{ id: "b1", title: "Harbour Studies", volume: "", notesKept: false, lines: 0 }],
  "GET /api/instruments": [{ code: "trumpet", name: "Trumpet", family: "BRASS" }],
  "POST /api/books/b1/table/preview": {
    rows: [{ kind: "ADDED", text: "39 new lines, pages 4 to 13", lines: 39 }],
    lines: 39,
    changed: 0,
    refused: 0,
  },
};

const page = () =>
  draw(
    <Routes>
      <Route path="/library/books/:bookId/table" element={<BookTablePage />} />
    </Routes>,
    "/library/books/b1/table",
  );

describe("a book by its facts", () => {
  it("is typed with the keyboard, says what happens, and is kept", async () => {
    const sent = server({
      ...around,
      "POST /api/books/b1/table": { rows: [], lines: 39, changed: 0, refused: 0 },
    });
    page();
    const first = await screen.findByLabelText("Page, row 1");
    fireEvent.change(first, { target: { value: "4-13" } });
    fireEvent.change(screen.getByLabelText("Number, row 1"), { target: { value: "1-39" } });
    fireEvent.keyDown(screen.getByLabelText("Number, row 1"), { key: "Enter" });
    expect(document.activeElement).toBe(screen.getByLabelText("Page, row 2"));
    fireEvent.keyDown(screen.getByLabelText("Page, row 2"), { key: "ArrowUp" });
    expect(document.activeElement).toBe(first);
    expect(await screen.findByText("39 new lines, pages 4 to 13")).toBeTruthy();
    fireEvent.click(screen.getByText("Keep the lines"));
    expect(await screen.findByText("39 lines added")).toBeTruthy();
    expect(sent.find((one) => one.path.endsWith("/table") && one.method === "POST")?.body).toEqual({
      rows: [{ page: "4-13", number: "1-39", title: "", key: "", meter: "", measures: "", tempo: "" }],
    });
  });

  it("takes cells that are pasted, with what is new for an instrument", async () => {
    server({
      ...around,
      "POST /api/books/table-file": {
        rows: [
          {
            page: "4",
            number: "1",
            title: "Still water",
            key: "",
            meter: "",
            measures: "",
            tempo: "",
            news: [{ instrument: "trumpet", words: "D, open" }],
          },
        ],
        ignoredHeadings: ["Copied by"],
      },
    });
    page();
    fireEvent.paste(await screen.findByLabelText("Page, row 1"), {
      clipboardData: { getData: () => "4\t1\tStill water\n" },
    });
    expect(await screen.findByText("1 row came in; not used: Copied by")).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>("Title, row 1").value).toBe("Still water");
    expect(screen.getByLabelText<HTMLInputElement>("New for Trumpet, row 1").value).toBe("D, open");
  });

  it("names the cell that is none, and keeps what was typed", async () => {
    server({
      ...around,
      "POST /api/books/b1/table": new Refusal(
        422,
        '"four" is not understood; write it like 3/4.',
        "rows[0].meter",
      ),
    });
    page();
    fireEvent.change(await screen.findByLabelText("Meter, row 1"), { target: { value: "four" } });
    fireEvent.click(screen.getByText("Keep the lines"));
    expect(await screen.findByText(/Row 1:/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>("Meter, row 1").value).toBe("four");
    expect(screen.getByLabelText("Meter, row 1").getAttribute("aria-invalid")).toBe("true");
  });
});
