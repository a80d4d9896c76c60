import type { Evidence, FolderTry } from "../../api/types";
import { outcomeWords } from "../hear/run";
import { momentWords } from "../../app/days";

export const evidenceWords: Record<Evidence, string> = {
  LIVE_ALONE: "alone",
  LIVE_WITH_SECTION: "with the section",
  PARTNER_CHECK: "by a partner",
  RECORDING: "recording",
  SUBSTITUTE: "substitute piece",
};

/** One try in a few words: what came of it, how and where it was heard, by whom. */
export function tryWords(t: FolderTry): string {
  const played = t.outcome === "PASS" || t.outcome === "NOT_YET";
  const words = [
    outcomeWords[t.outcome],
    t.points !== undefined && `${t.points} points`,
    played && evidenceWords[t.evidence],
    t.className,
    t.heardBy && `heard by ${t.heardBy}`,
  ].filter(Boolean);
  const clock =
    t.deviceHeardAt &&
    `The device said ${momentWords(t.deviceHeardAt)}, which cannot be; it counts from when it arrived`;
  return [words.join(", "), t.reason, t.note, clock].filter(Boolean).join(". ");
}
