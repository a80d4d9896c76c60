import type { Preview } from "../../api/types";
import { counted } from "../../ui/words";

/** What a roster file will do or did, in a sentence. */
export function takeWords(preview: Preview, taken: boolean): string {
  const parts = [
    preview.students > 0 && counted(preview.students, "new student"),
    preview.seats > 0 && counted(preview.seats, "seat"),
    preview.moves > 0 && `${counted(preview.moves, "move")} to another instrument or division`,
    preview.unchanged > 0 && `${counted(preview.unchanged, "row")} unchanged`,
    preview.refused > 0 && `${counted(preview.refused, "row")} not taken`,
  ].filter(Boolean);
  if (preview.seats + preview.moves === 0) {
    const rest = preview.refused > 0 ? `, ${counted(preview.refused, "row")} cannot be taken` : "";
    return `Nothing to change: ${counted(preview.unchanged, "row")} on the roster already${rest}.`;
  }
  return `${taken ? "" : "taking it brings "}${parts.join(", ")}.`;
}
