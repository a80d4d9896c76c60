import { v7 as newId } from "uuid";
import type { LineRow } from "../../api/types";

/** The columns in the order of the printed page. */
export const parts = ["page", "number", "title", "key", "meter", "measures", "tempo"] as const;
export type Part = (typeof parts)[number];

export const partNames: Record<Part, string> = {
  page: "Page",
  number: "Number",
  title: "Title",
  key: "Key",
  meter: "Meter",
  measures: "Measures",
  tempo: "♩ =",
};

/** A row of the table while it is typed. @property news what is new, by instrument code */
export interface TableRow {
  id: string;
  cells: Record<Part, string>;
  news: Record<string, string>;
}

export const emptyRow = (): TableRow => ({
  id: newId(),
  cells: { page: "", number: "", title: "", key: "", meter: "", measures: "", tempo: "" },
  news: {},
});

export const rowOf = (line: LineRow): TableRow => ({
  id: newId(),
  cells: {
    page: line.page,
    number: line.number,
    title: line.title,
    key: line.key,
    meter: line.meter,
    measures: line.measures,
    tempo: line.tempo,
  },
  news: Object.fromEntries((line.news ?? []).map((one) => [one.instrument, one.words])),
});

export const isEmpty = (row: TableRow) =>
  Object.values(row.cells).every((cell) => cell.trim() === "") &&
  Object.values(row.news).every((words) => words.trim() === "");

/** The rows that are sent: empty ones at the end are left out. */
export function filled(rows: readonly TableRow[]): TableRow[] {
  const last = rows.findLastIndex((row) => !isEmpty(row));
  return rows.slice(0, last + 1);
}

export const requestOf = (rows: readonly TableRow[]): { rows: LineRow[] } => ({
  rows: filled(rows).map((row) => {
    const news = Object.entries(row.news).filter(([, words]) => words.trim() !== "");
    return {
      ...row.cells,
      ...(news.length > 0 ? { news: news.map(([instrument, words]) => ({ instrument, words })) } : {}),
    };
  }),
});

/** With an empty row at the end to go on typing in. */
export const withRoom = (rows: readonly TableRow[]): TableRow[] =>
  rows.length === 0 || !isEmpty(rows.at(-1)!) ? [...rows, emptyRow()] : [...rows];

/** Rows that come in at a row; an empty one there gives way. */
export function inserted(rows: readonly TableRow[], at: number, more: readonly TableRow[]): TableRow[] {
  const here = rows[at];
  const from = here && isEmpty(here) ? at : at + 1;
  return withRoom([...rows.slice(0, from), ...more, ...rows.slice(here && isEmpty(here) ? at + 1 : from)]);
}

/** Every instrument something new is said of. */
export const instrumentsIn = (rows: readonly TableRow[]): string[] => [
  ...new Set(rows.flatMap((row) => Object.keys(row.news))),
];

/** The cell a refusal is about: "rows[2].meter". */
export function cellOf(field: string | undefined): { row: number; part: string } | undefined {
  const found = field?.match(/^rows\[(\d+)\]\.(\w+)$/);
  return found ? { row: Number(found[1]), part: found[2]! } : undefined;
}
