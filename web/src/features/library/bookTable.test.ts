import { describe, expect, it } from "vitest";
import {
  cellOf,
  emptyRow,
  filled,
  inserted,
  instrumentsIn,
  isEmpty,
  requestOf,
  rowOf,
  withRoom,
} from "./bookTable";

const line = (number: string) =>
  rowOf({ page: "4", number, title: "", key: "", meter: "", measures: "", tempo: "" });

describe("a book's table while it is typed", () => {
  it("always has an empty row to go on in, which is not sent", () => {
    const rows = withRoom([line("1")]);
    expect(rows).toHaveLength(2);
    expect(isEmpty(rows[1]!)).toBe(true);
    expect(withRoom(rows)).toHaveLength(2);
    expect(requestOf(rows).rows).toHaveLength(1);
  });

  it("keeps empty rows between others, since blank is as above", () => {
    expect(filled([line("1"), emptyRow(), line("3"), emptyRow()])).toHaveLength(3);
  });

  it("lets pasted rows take the place of an empty one, else come behind", () => {
    const rows = withRoom([line("1")]);
    const pasted = inserted(rows, 1, [line("2"), line("3")]);
    expect(pasted.map((row) => row.cells.number)).toEqual(["1", "2", "3", ""]);
    expect(inserted(pasted, 0, [line("9")]).map((row) => row.cells.number)).toEqual(["1", "9", "2", "3", ""]);
  });

  it("sends what is new by instrument, and nothing where nothing is", () => {
    const row = rowOf({
      ...requestOf([line("1")]).rows[0]!,
      news: [
        { instrument: "trumpet", words: "D, open" },
        { instrument: "flute", words: " " },
      ],
    });
    expect(instrumentsIn([row])).toEqual(["trumpet", "flute"]);
    expect(requestOf([row]).rows[0]!.news).toEqual([{ instrument: "trumpet", words: "D, open" }]);
  });

  it("finds the cell of a refusal", () => {
    expect(cellOf("rows[12].meter")).toEqual({ row: 12, part: "meter" });
    expect(cellOf("bookId")).toBeUndefined();
  });
});
