import type { Pace } from "../../api/types";
import { duration } from "../../app/days";
import { counted } from "../../ui/words";

/** What each student takes: as planned, or as the run has shown. */
export const eachWords = (pace: Pace | undefined, planned: number) =>
  pace && pace.learntFrom > 0
    ? `${duration(pace.secondsPerStudent)} each so far`
    : `${duration(planned)} each, with a word and the changeover`;

/** Whether it fits before the bell; empty where no class goes on. */
export function fitWords(pace: Pace | undefined): string {
  if (pace?.secondsToBell === undefined) return "";
  const minutes = Math.floor(pace.secondsToBell / 60);
  const bell = minutes < 1 ? "the bell is about to ring" : `${counted(minutes, "minute")} to the bell`;
  if (pace.fits) return `Fits: ${bell}`;
  return pace.inTime === 0 ? `Nobody more fits: ${bell}` : `${pace.inTime} more fit: ${bell}`;
}
