import type { BoardView } from "../../api/types";
import { addDays } from "../../app/days";

type Kind = BoardView["columns"][number]["kind"];

export interface BoardFilter {
  kind?: Kind;
  /** What was or is due within so many days around the day of the board; undefined for the whole year. */
  days?: number;
  /** Only who wears this belt; "none" for those without one. */
  belt?: string;
}

export const kinds: readonly [Kind, string][] = [
  ["LINE", "lines"],
  ["TECHNIQUE_CHECK", "checks"],
  ["PLAYING_TEST", "tests"],
  ["WRITTEN_CHECK", "written"],
];

/** The columns and rows that are wanted; marks stay with their columns. */
export function filtered(board: BoardView, { kind, days, belt }: BoardFilter): BoardView {
  const shown = board.columns.map(
    (column) =>
      (kind === undefined || column.kind === kind) &&
      (days === undefined ||
        (column.dueOn >= addDays(board.on, -days) && column.dueOn <= addDays(board.on, days))),
  );
  const rows = board.rows.filter(
    (row) => belt === undefined || (belt === "none" ? row.wornBelt === undefined : row.wornBelt === belt),
  );
  return {
    ...board,
    columns: board.columns.filter((_, i) => shown[i]),
    rows: rows.map((row) => ({ ...row, marks: row.marks.filter((_, i) => shown[i]) })),
  };
}
