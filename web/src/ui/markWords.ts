import type { Outcome, Standing } from "../api/types";
import { counted } from "./words";

export type MarkState = Standing["state"];

/** A mark in words, for ears and tooltips. */
export function markWords(mark: { state: MarkState; tries: number; carriedOver: boolean }): string {
  const words: Record<MarkState, string> = {
    NOT_SET: "not set",
    SET: "set, not heard",
    TRIED: `not yet, ${counted(mark.tries, "try", "tries")}`,
    PASSED: "passed",
    PASSED_BY_SUBSTITUTE: "passed by substitute",
    EXCUSED: "excused",
    RECORDING_WAITING: "recording waiting",
  };
  return mark.carriedOver ? `${words[mark.state]}, carried over` : words[mark.state];
}

/** The mark shown for an outcome until the server says where the student stands now. */
export function provisional(outcome: Outcome, before: Standing): Standing {
  switch (outcome) {
    case "PASS":
      return { ...before, state: "PASSED", tries: before.tries + 1, carriedOver: false };
    case "NOT_YET":
      return { ...before, state: "TRIED", tries: before.tries + 1 };
    case "EXCUSED":
      return { ...before, state: "EXCUSED", carriedOver: false };
    default:
      return before;
  }
}
