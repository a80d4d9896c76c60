import type { Candidate, EnsembleSection } from "../../api/types";
import { counted } from "../../ui/words";

/** Whether a section is as large as it should be. */
export function balanceWords(section: EnsembleSection): string {
  switch (section.weight) {
    case "OPEN":
      return "nobody said how many are wanted";
    case "FULL":
      return "full";
    case "OVER":
      return `${section.over} more than wanted`;
    case "SHORT_FOR_NOW":
      return `${section.missing} short; enough once those nearly ready are`;
    case "SHORT":
      return `${section.missing} short`;
  }
}

/** What it takes until a student is ready. */
export function takes(one: Candidate): string {
  if (one.degree === "READY") return "ready";
  if (one.degree === "NO_GATE") return "nothing of the gate is for this instrument";
  const any = one.needed < one.missing.length;
  const shown = one.missing.slice(0, 4).join(", ") + (one.missing.length > 4 ? " …" : "");
  return any ? `${one.needed} of ${shown}` : `${counted(one.needed, "pass", "passes")}: ${shown}`;
}
