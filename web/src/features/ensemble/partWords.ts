import type { ProposedPartsOf } from "../../api/types";
import { noteName } from "../../ui/notes";

type Ask = ProposedPartsOf["players"][number]["asks"][number];

const usual = ["1st", "2nd", "3rd", "4th", "5th", "6th"];

/** As the divisions are called: by their present names where there are as many, else by number. */
export function divisionNames(proposed: ProposedPartsOf): readonly string[] {
  const now = [...new Set(proposed.players.map((player) => player.division))].filter(Boolean).sort();
  return now.length === proposed.parts.length ? now : usual;
}

/** What a part asks of a player beyond what was passed. */
export function askWords(ask: Ask): string {
  if (ask.fits) return "all passed";
  const notes = ask.newNotes.length > 0 ? `new: ${ask.newNotes.map(noteName).join(" ")}` : "";
  const speed = ask.faster ? "faster than anything passed" : "";
  return [notes, speed].filter(Boolean).join("; ");
}

/** Who plays a part: as proposed, but for what the director changed. */
export function played(
  proposed: ProposedPartsOf,
  changed: Readonly<Record<string, string>>,
  lineId: string,
): string[] {
  return proposed.players
    .filter((player) => (changed[player.studentId] ?? player.lineId) === lineId)
    .map((player) => player.studentId);
}
