import type { Preview } from "../../api/types";

const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

/** What a roster file will do or did, in a sentence. */
export function takeWords(preview: Preview, taken: boolean): string {
  const parts = [
    preview.students > 0 && `${count(preview.students, "new student")}`,
    preview.seats > 0 && `${count(preview.seats, "seat")}`,
    preview.moves > 0 && `${count(preview.moves, "move")} to another instrument or division`,
    preview.unchanged > 0 && `${count(preview.unchanged, "row")} unchanged`,
    preview.refused > 0 && `${count(preview.refused, "row")} not taken`,
  ].filter(Boolean);
  if (preview.seats + preview.moves === 0) {
    const rest = preview.refused > 0 ? `, ${count(preview.refused, "row")} cannot be taken` : "";
    return `Nothing to change: ${count(preview.unchanged, "row")} on the roster already${rest}.`;
  }
  return `${taken ? "" : "taking it brings "}${parts.join(", ")}.`;
}
