import clsx from "clsx";
import { useState } from "react";
import type { Outcome, Run } from "../../api/types";
import { useKeys } from "../../app/useKeys";
import { Button, Empty, Kbd } from "../../ui/parts";
import { ProgressMark } from "../../ui/ProgressMark";
import { useToast } from "../../ui/toasts";
import { milestoneName } from "./milestoneName";
import { counted } from "../../ui/words";
import { countWords, nextOutcome, outcomeWords } from "./run";
import type { useRun } from "./useRun";

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
  onBack: () => void;
  /** How many play at a time, where it is a group of a few rather than everybody who is left. */
  group?: number;
}

/** All passed except these: everybody open is passed until touched, and one press records them all. */
export function SectionAtOnce({ run, live, onBack, group }: Props) {
  const toast = useToast();
  const open =
    group === undefined
      ? run.players.filter((player) => live.state.queue.includes(player.studentId))
      : live.state.queue
          .slice(0, group)
          .flatMap((id) => run.players.find((player) => player.studentId === id) ?? []);
  const [touched, setTouched] = useState<ReadonlyMap<string, Outcome>>(new Map());
  const [at, setAt] = useState(0);
  const outcomeOf = (studentId: string) => touched.get(studentId) ?? "PASS";
  const turn = (studentId: string) =>
    setTouched((all) => new Map(all).set(studentId, nextOutcome(all.get(studentId) ?? "PASS")));
  const outcomes = open.map((player) => outcomeOf(player.studentId));
  const isTest = run.milestone.kind === "PLAYING_TEST";
  const recordAll = () => {
    if (open.length === 0 || isTest) return;
    live.recordSection(new Map(open.map((player) => [player.studentId, outcomeOf(player.studentId)])));
    setTouched(new Map());
    setAt(0);
    toast(`Recorded: ${countWords(outcomes)}`);
  };
  const digits = Object.fromEntries(
    open.slice(0, 9).map((player, i) => [String(i + 1), () => turn(player.studentId)]),
  );
  useKeys({
    ...digits,
    ArrowDown: () => setAt((i) => Math.min(open.length - 1, i + 1)),
    ArrowUp: () => setAt((i) => Math.max(0, i - 1)),
    " ": () => open[at] && turn(open[at].studentId),
    Enter: recordAll,
  });
  return (
    <section aria-label={group === undefined ? "Whole section at once" : "A group at a time"}>
      <div className="mb-3 flex flex-wrap items-baseline gap-3">
        <h2 className="text-[1.6rem]">
          {group === undefined ? "All passed except…" : `${counted(open.length, "plays", "play")} together`}
        </h2>
        <p className="small soft">
          {milestoneName(run.milestone)}. Tap who has not: once not yet, twice absent.
        </p>
        <Button small className="ml-auto" onClick={onBack}>
          <Kbd>{group === undefined ? "S" : "G"}</Kbd> one by one
        </Button>
      </div>
      {isTest && <Empty>A playing test needs points for each criterion: hear the students one by one.</Empty>}
      {!isTest && open.length === 0 && <Empty>Nobody is left to mark.</Empty>}
      {!isTest && open.length > 0 && (
        <>
          <ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
            {open.map((player, i) => {
              const outcome = outcomeOf(player.studentId);
              return (
                <li key={player.studentId}>
                  <button
                    type="button"
                    onClick={(event) => {
                      turn(player.studentId);
                      setAt(i);
                      if (event.detail > 0) event.currentTarget.blur();
                    }}
                    className={clsx(
                      "flex min-h-14 w-full items-center gap-2 rounded-xl border-[1.5px] px-3 py-2 text-left",
                      i === at && "outline-2 outline-offset-2 outline-[var(--now)]",
                      outcome === "PASS" && "hairline",
                      outcome === "NOT_YET" && "border-base-content bg-base-200",
                      outcome === "ABSENT" && "hairline bg-base-200 border-dashed",
                    )}
                  >
                    <ProgressMark
                      decorative
                      state={outcome === "PASS" ? "PASSED" : outcome === "NOT_YET" ? "TRIED" : "SET"}
                      tries={player.standing.tries + 1}
                    />
                    {i < 9 && <Kbd>{i + 1}</Kbd>}
                    <span className="grow">
                      {player.name}
                      <span className="small soft block">{player.instrumentName}</span>
                    </span>
                    <span className={clsx("small", outcome !== "PASS" && "font-semibold")}>
                      {outcomeWords[outcome]}
                    </span>
                  </button>
                </li>
              );
            })}
          </ul>
          <div className="bg-base-100 hairline sticky bottom-0 mt-4 flex flex-wrap items-center gap-4 border-t-[1.5px] py-3">
            <Button look="primary" onClick={recordAll}>
              Record {countWords(outcomes)} <Kbd>Enter</Kbd>
            </Button>
            <span className="small soft">
              <Kbd>↑</Kbd> <Kbd>↓</Kbd> move &nbsp; <Kbd>Space</Kbd> change
            </span>
          </div>
        </>
      )}
    </section>
  );
}
