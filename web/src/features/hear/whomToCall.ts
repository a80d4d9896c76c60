import type { Player, Run } from "../../api/types";
import type { RunState } from "./run";

/** Whom a run calls: everybody who is open, or some of them. */
export type Whom = "EVERYBODY" | "NOT_HEARD" | "BELT" | "BY_HAND";

export const whomWords: Record<Whom, string> = {
  EVERYBODY: "everybody open",
  NOT_HEARD: "not heard on this yet",
  BELT: "who can reach a belt this week",
  BY_HAND: "a list by hand",
};

/**
 * The queue for them, in the fair order the server gave, without whom this run has heard.
 *
 * @param chosen by hand, or by the server for a belt
 */
export function queueFor(
  whom: Whom,
  run: Run,
  state: Pick<RunState, "made" | "elsewhere">,
  chosen: ReadonlySet<string>,
): string[] {
  const met = new Set([...state.made.map((press) => press.studentId), ...state.elsewhere]);
  const byId = new Map(run.players.map((player) => [player.studentId, player]));
  const wanted = (player: Player) =>
    whom === "EVERYBODY" ||
    (whom === "NOT_HEARD" ? player.standing.tries === 0 : chosen.has(player.studentId));
  // Who is put on a list by hand is called although the run would not have.
  const others =
    whom === "BY_HAND"
      ? run.players.map((player) => player.studentId).filter((id) => !run.queue.includes(id))
      : [];
  return [...run.queue, ...others].filter((id) => {
    const player = byId.get(id);
    return player !== undefined && !met.has(id) && wanted(player);
  });
}
