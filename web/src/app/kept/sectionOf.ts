import type { Run } from "../../api/types";
import type { Scope } from "../scope";

/** A section of a class's run; who is left stays in the order the server gave. */
export function sectionOf(run: Run, { instrument, division }: Pick<Scope, "instrument" | "division">): Run {
  const players = run.players.filter(
    (player) => player.instrument === instrument && (!division || player.division === division),
  );
  const ids = new Set(players.map((player) => player.studentId));
  return { ...run, players, queue: run.queue.filter((id) => ids.has(id)) };
}
