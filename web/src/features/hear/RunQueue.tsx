import clsx from "clsx";
import type { Run } from "../../api/types";
import { Link } from "react-router";
import { duration } from "../../app/days";
import { useSeesEverybody } from "../../app/role";
import { scopeSearch, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";
import { Kbd } from "../../ui/parts";
import { ProgressMark } from "../../ui/ProgressMark";
import { milestoneName } from "./milestoneName";
import type { Press } from "./ahead";
import { NotCalled } from "./NotCalled";
import { notCalled } from "./notCalled";
import { eachWords, fitWords } from "./paceWords";
import { openSecondScreen } from "./secondScreen";
import { usePace } from "./usePace";
import { isSetForNobody, outcomeWords } from "./run";
import type { useListeners } from "./useListeners";
import type { useRun } from "./useRun";
import { WhomToCall } from "./WhomToCall";
import { counted } from "../../ui/words";

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
  name: string;
  others: ReturnType<typeof useListeners>;
  /** Opens the list of who is away; undefined where the run spans classes. */
  onAway: (() => void) | undefined;
}

/** Who is left, in fair order, with the minutes it takes; and who was heard in this run. */
export function RunQueue({ run, live, name, others, onAway }: Props) {
  const { queue, made } = live.state;
  const players = new Map(run.players.map((player) => [player.studentId, player]));
  const total = queue.length + made.length;
  const pace = usePace(run.milestone.id, queue.length, made.length);
  const fit = fitWords(pace);
  const everybody = useSeesEverybody();
  const { search } = useScope();
  const onPaper = run.milestone.kind === "WRITTEN_CHECK";
  return (
    <div className="min-w-0">
      <h1 className="text-[1.4rem]">
        {onPaper ? "Handed in by" : "Hearing"} {name}
      </h1>
      <p className="small soft mt-0.5 mb-3">{milestoneName(run.milestone)}</p>
      <div className="border-base-content mb-3 rounded-[10px] border-[1.5px] px-3 py-2">
        <p className="display text-[1.13rem]">
          {queue.length === 0
            ? total === 0 && isSetForNobody(run.players)
              ? "Nobody to hear"
              : notCalled(run.players, live.state).length > 0
                ? "Nobody more to call"
                : "All heard"
            : onPaper
              ? `${queue.length} still to hand in`
              : `${queue.length} left · ${duration(pace?.neededSeconds ?? queue.length * run.secondsPerStudent)}`}
        </p>
        {queue.length > 0 && fit && !onPaper && (
          <p className={clsx("small", !pace?.fits && "font-semibold")}>{fit}</p>
        )}
        <p className="small soft">
          {!onPaper && eachWords(pace, run.secondsPerStudent)}
          {everybody && (
            <>
              {!onPaper && (
                <>
                  {" · "}
                  <Link
                    className={looks.link}
                    to={{ pathname: `/hear/${run.milestone.id}/day`, search: scopeSearch(search, {}) }}
                  >
                    days
                  </Link>
                </>
              )}
              {run.milestone.criteria.length > 0 && (
                <>
                  {!onPaper && " · "}
                  <Link
                    className={looks.link}
                    to={{ pathname: `/hear/${run.milestone.id}/results`, search: scopeSearch(search, {}) }}
                  >
                    results
                  </Link>
                </>
              )}
            </>
          )}
        </p>
        <div className="bg-base-300 mt-1.5 h-1.5 rounded-full" aria-hidden>
          <div
            className="bg-secondary h-1.5 rounded-full"
            style={{ width: `${total ? (100 * made.length) / total : 100}%` }}
          />
        </div>
      </div>
      {!onPaper && <WhomToCall run={run} live={live} />}
      <ol aria-label="Queue" className="max-h-[46vh] overflow-y-auto md:max-h-[50vh]">
        {queue.map((id, i) => {
          const player = players.get(id);
          const standing = live.standings.get(id);
          if (!player || !standing) return null;
          return (
            <li key={id}>
              <button
                type="button"
                aria-current={i === 0 ? "true" : undefined}
                onClick={(event) => {
                  live.dispatch({ type: "choose", studentId: id });
                  // The keys are for the desk again.
                  event.currentTarget.blur();
                }}
                className={clsx(
                  "grid w-full grid-cols-[36px_1fr_auto] items-center rounded-lg px-2 py-1.5 text-left",
                  i === 0 ? "bg-neutral text-neutral-content font-semibold" : "hover:bg-base-200",
                )}
              >
                <ProgressMark {...standing} size={15} />
                <span className="min-w-0">
                  {player.name}
                  {others.heardBy.has(id) && (
                    <span className="small block font-normal">with {others.heardBy.get(id)}</span>
                  )}
                </span>
                <span className={clsx("small font-normal", i > 0 && "soft")}>
                  {heardAgo(player.daysSinceHeard)}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      <div className="small soft mt-2 flex flex-wrap gap-x-4 gap-y-1 px-2">
        {onAway && (
          <button type="button" onClick={onAway}>
            <Kbd>L</Kbd> who is away
          </button>
        )}
        <button type="button" onClick={openSecondScreen}>
          <Kbd>W</Kbd> second screen
        </button>
      </div>
      <NotCalled players={run.players} live={live} />
      {made.length > 0 && (
        <>
          <h2 className="small soft hairline mt-3 mb-1 border-t-[1.5px] px-2 pt-2.5 font-sans font-normal tracking-normal">
            Heard in this run
          </h2>
          <ol>
            {latestOfEach(made).map((mark) => {
              const standing = live.standings.get(mark.studentId);
              return (
                <li key={mark.attemptId} className="soft grid grid-cols-[36px_1fr] items-center px-2 py-1">
                  <span className="text-base-content">
                    {standing && <ProgressMark {...standing} size={15} />}
                  </span>
                  <span>
                    {players.get(mark.studentId)?.name}
                    <span className="sr-only">, {outcomeWords[mark.outcome]}</span>
                  </span>
                </li>
              );
            })}
          </ol>
        </>
      )}
    </div>
  );
}

/** The last mark of each student in this run, latest first. */
function latestOfEach(made: readonly Press[]): Press[] {
  const seen = new Set<string>();
  return made.toReversed().filter((mark) => !seen.has(mark.studentId) && seen.add(mark.studentId));
}

function heardAgo(days: number | undefined): string {
  if (days === undefined) return "never";
  if (days === 0) return "today";
  return counted(days, "day");
}
