import type { Player } from "../../api/types";
import type { RunState } from "./run";

type LeftOut = NonNullable<Player["leftOut"]>;

/** Passed, excused and not set are seen by the mark; the others need a word. */
const words: Partial<Record<LeftOut, string>> = {
  ABSENT: "away",
  RESTING: "rests, ask first",
  TRIED_TODAY: "tried today",
};

/** Who still has it to pass and is not called, with the reason the server gave. */
export function notCalled(
  players: readonly Player[],
  { queue, made, elsewhere }: Pick<RunState, "queue" | "made" | "elsewhere">,
) {
  const met = new Set([...queue, ...made.map((press) => press.studentId)]);
  return players.flatMap((player) => {
    const why = elsewhere.includes(player.studentId)
      ? "heard elsewhere"
      : player.leftOut && words[player.leftOut];
    return why && !met.has(player.studentId) ? [{ player, words: why }] : [];
  });
}
