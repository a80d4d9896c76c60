import { Link } from "react-router";
import type { Run } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { Button } from "../../ui/parts";
import { ProgressMark } from "../../ui/ProgressMark";
import { markWords } from "../../ui/markWords";
import { isSetForNobody, playerPlace } from "./run";
import type { useRun } from "./useRun";
import { looks } from "../../ui/looks";

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
  onAtOnce: () => void;
}

/** The end of a run: where everybody stands now, and what can be done next. */
export function AllHeard({ run, live, onAtOnce }: Props) {
  const { search } = useScope();
  const passed = run.players.filter((p) =>
    live.standings.get(p.studentId)?.state.startsWith("PASSED"),
  ).length;
  const unset = live.state.made.length === 0 && isSetForNobody(run.players);
  return (
    <div className="grid gap-4 py-2">
      <div>
        <h2 className="text-[2rem]">
          {live.state.made.length > 0
            ? "That was the last one"
            : unset
              ? "Not set for these students"
              : "Nobody is left to hear"}
        </h2>
        <p className="soft">
          {unset
            ? "Order it for the section, or choose a name to hear it all the same."
            : `${passed} of ${run.players.length} passed. Choose a name to hear it again.`}
        </p>
      </div>
      <ul className="grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
        {run.players.map((player) => {
          const standing = live.standings.get(player.studentId) ?? player.standing;
          return (
            <li key={player.studentId} className="border-b border-[var(--hairline)]">
              <button
                type="button"
                className="hover:bg-base-200 grid w-full grid-cols-[40px_1fr] items-center rounded-lg px-1 py-2 text-left"
                onClick={(event) => {
                  live.dispatch({ type: "choose", studentId: player.studentId });
                  // The keys are for the desk again.
                  event.currentTarget.blur();
                }}
              >
                <ProgressMark {...standing} decorative />
                <span>
                  <span className="font-semibold">{player.name}</span>
                  <span className="small soft block">
                    {playerPlace(player)}, {markWords(standing)}
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Link className={looks.primary} to={{ pathname: "/hear", search: scopeSearch(search, {}) }}>
          Hear something else
        </Link>
        <Link className={looks.button} to={{ pathname: "/roster", search: scopeSearch(search, {}) }}>
          See the board
        </Link>
        {live.state.made.length > 0 && <Button onClick={live.undo}>Undo last</Button>}
        {run.milestone.kind !== "PLAYING_TEST" && <Button onClick={onAtOnce}>Whole section at once</Button>}
      </div>
    </div>
  );
}
