import type { Player } from "../../api/types";
import type { useRun } from "./useRun";
import { notCalled } from "./notCalled";

interface Props {
  players: readonly Player[];
  live: ReturnType<typeof useRun>;
}

/** Who is not called today, and why; a tap hears them all the same. */
export function NotCalled({ players, live }: Props) {
  const left = notCalled(players, live.state);
  if (left.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="small soft cursor-pointer px-2">{left.length} not called today</summary>
      <ul>
        {left.map(({ player, words }) => (
          <li key={player.studentId}>
            <button
              type="button"
              className="hover:bg-base-200 flex w-full justify-between gap-2 rounded-lg px-2 py-1.5 text-left"
              onClick={(event) => {
                live.dispatch({ type: "choose", studentId: player.studentId });
                // The keys are for the desk again.
                event.currentTarget.blur();
              }}
            >
              <span>{player.name}</span>
              <span className="small soft">{words}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
