import clsx from "clsx";
import type { Milestone } from "../../api/types";
import { Kbd } from "../../ui/parts";
import { markingOf, mostPoints, nextCriterion, pointsSoFar, verdict } from "./run";

interface Props {
  milestone: Milestone;
  marks: ReadonlyMap<number, number>;
  onMark: (ordinal: number, points: number) => void;
}

/** The criteria: for a check a tap marks what was not seen, for a test a digit gives the points. */
export function CriteriaMarks(props: Props) {
  return markingOf(props.milestone) === "points" ? <Points {...props} /> : <Seen {...props} />;
}

function Seen({ milestone, marks, onMark }: Props) {
  return (
    <div role="group" aria-label="Criteria: mark what was not seen" className="mb-4">
      <p className="small soft mb-1.5">Mark what was not seen; the rest counts as seen.</p>
      <ul className="grid gap-2 xl:grid-cols-2">
        {milestone.criteria.map((criterion) => {
          const missed = marks.get(criterion.ordinal) === 0;
          return (
            <li key={criterion.ordinal}>
              <button
                type="button"
                aria-pressed={missed}
                onClick={(event) => {
                  onMark(criterion.ordinal, missed ? 1 : 0);
                  if (event.detail > 0) event.currentTarget.blur();
                }}
                className={clsx(
                  "flex min-h-12 w-full items-center gap-3 rounded-xl border-[1.5px] px-3.5 py-2 text-left",
                  missed ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
                )}
              >
                <Kbd>{criterion.ordinal}</Kbd>
                <span className="grow">{criterion.name}</span>
                <span className={clsx("small", !missed && "soft")}>{missed ? "not seen" : "seen"}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function Points({ milestone, marks, onMark }: Props) {
  const next = nextCriterion(milestone, marks);
  return (
    <div role="group" aria-label="Points for each criterion" className="mb-2">
      <ul className="grid gap-0.5">
        {milestone.criteria.map((criterion) => (
          <li
            key={criterion.ordinal}
            className={clsx(
              "grid items-center gap-x-4 gap-y-1 rounded-xl border-[1.5px] px-3 py-0.5 sm:grid-cols-[1fr_auto]",
              next === criterion.ordinal ? "border-base-content" : "border-transparent",
            )}
          >
            <span className={next === criterion.ordinal ? "font-semibold" : ""}>
              {criterion.name}
              {criterion.floorPoints !== undefined && (
                <span className="small soft"> at least {criterion.floorPoints}</span>
              )}
              {criterion.levels.length > 0 && (
                <span className="small soft ml-2 font-normal">
                  {criterion.levels[marks.get(criterion.ordinal) ?? -1] ?? ""}
                </span>
              )}
            </span>
            <span className="flex gap-1.5" role="radiogroup" aria-label={criterion.name}>
              {Array.from({ length: criterion.topPoints + 1 }, (_, i) => i).map((points) => {
                const chosen = marks.get(criterion.ordinal) === points;
                return (
                  <button
                    key={points}
                    type="button"
                    role="radio"
                    aria-checked={chosen}
                    title={criterion.levels[points]}
                    onClick={(event) => {
                      onMark(criterion.ordinal, points);
                      if (event.detail > 0) event.currentTarget.blur();
                    }}
                    className={clsx(
                      "size-9 rounded-lg border-[1.5px] font-semibold [@media(pointer:coarse)]:size-11",
                      chosen
                        ? "bg-neutral text-neutral-content border-neutral"
                        : "hairline hover:bg-base-200",
                    )}
                  >
                    {points}
                  </button>
                );
              })}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-1 px-3">
        <b className="display text-lg">{pointsSoFar(milestone, marks)}</b> of {mostPoints(milestone)} points
        {milestone.passMark !== undefined && <span className="soft"> · {milestone.passMark} needed</span>}
        {verdict(milestone, marks) && (
          <b role="status" className="ml-3">
            {verdict(milestone, marks)}
          </b>
        )}
      </p>
    </div>
  );
}
