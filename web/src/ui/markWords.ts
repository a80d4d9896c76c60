import type { Standing } from "../api/types";
import { counted } from "./words";

export type MarkState = Standing["state"];

/** A mark in words, for ears and tooltips. */
export function markWords(mark: {
  state: MarkState;
  tries: number;
  carriedOver: boolean;
  onItsWay?: boolean;
}): string {
  if (mark.onItsWay) return "heard, the result is on its way";
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
