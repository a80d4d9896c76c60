import { expect, it } from "vitest";
import type { BoardView } from "../../api/types";
import { filtered } from "./boardFilter";

const column = (kind: string, dueOn: string) => ({ kind, dueOn, milestoneIds: [dueOn] });
const board = {
  on: "2026-10-07",
  columns: [
    column("LINE", "2026-09-11"),
    column("LINE", "2026-10-09"),
    column("TECHNIQUE_CHECK", "2026-10-02"),
  ],
  rows: [
    { name: "Ana", wornBelt: "shell", marks: ["a", "b", "c"] },
    { name: "Bo", marks: ["d", "e", "f"] },
  ],
  belts: [],
} as unknown as BoardView;
const marks = (of: BoardView) => of.rows.map((row) => row.marks as unknown as string[]);

it("keeps marks with their columns", () => {
  expect(marks(filtered(board, { kind: "LINE" }))).toEqual([
    ["a", "b"],
    ["d", "e"],
  ]);
  expect(marks(filtered(board, { days: 7 }))).toEqual([
    ["b", "c"],
    ["e", "f"],
  ]);
  expect(marks(filtered(board, { kind: "LINE", days: 7 }))).toEqual([["b"], ["e"]]);
});

it("shows who wears a belt, or none", () => {
  expect(filtered(board, { belt: "shell" }).rows.map((row) => row.name)).toEqual(["Ana"]);
  expect(filtered(board, { belt: "none" }).rows.map((row) => row.name)).toEqual(["Bo"]);
  expect(filtered(board, {})).toEqual(board);
});
