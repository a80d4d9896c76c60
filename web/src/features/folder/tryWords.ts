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
    played && (t.substitute ? `substitute “${t.substitute}”` : evidenceWords[t.evidence]),
    t.tempoBpm !== undefined && `at ♩ = ${t.tempoBpm}`,
    t.className,
    t.heardBy && `heard by ${t.heardBy}`,
  ].filter(Boolean);
  const clock =
    t.deviceHeardAt &&
    `The device said ${momentWords(t.deviceHeardAt)}, which cannot be; it counts from when it arrived`;
  return [words.join(", "), faultWords(t.faults), t.reason, t.note, clock].filter(Boolean).join(". ");
}

/** "Rushes (m. 3), rhythm": what went wrong, and where. */
export const faultWords = (faults: FolderTry["faults"]): string =>
  faults
    .map(({ sign, measure }, i) => {
      const words = i === 0 ? sign : sign.charAt(0).toLowerCase() + sign.slice(1);
      return measure === undefined ? words : `${words} (m. ${measure})`;
    })
    .join(", ");
