import clsx from "clsx";
import { useReducer } from "react";
import type { Outcome, Run } from "../../api/types";
import { useKeys } from "../../app/useKeys";
import { Button, Empty, Kbd } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import {
  countsTries,
  emptyGrid,
  gridColumns,
  gridReducer,
  marksOf,
  missedCount,
  outcomeOf,
  rowWords,
  triesInRun,
} from "./checkGrid";
import { GridRow } from "./GridRow";
import { countWords } from "./run";
import { useSeesEverybody } from "../../app/role";
import { useVariants, VariantPick } from "./VariantPick";
import { WhatToTry } from "./WhatToTry";
import type { useRun } from "./useRun";
import { counted } from "../../ui/words";

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
  onBack: () => void;
}

const head = "small soft px-1.5 pb-1 text-left align-bottom font-normal";

/** A check run on a whole section: one tap marks the fault seen, no tap means fine. Counted tries go round by round. */
export function CheckGrid({ run, live, onBack }: Props) {
  const toast = useToast();
  const [grid, dispatch] = useReducer(gridReducer, emptyGrid);
  const everybody = useSeesEverybody();
  const variants = useVariants(run.milestone.id);
  const open = run.players.filter((player) => live.state.queue.includes(player.studentId));
  const columns = gridColumns(run.milestone);
  const ids = open.map((player) => player.studentId);
  const row = Math.min(grid.row, Math.max(0, ids.length - 1));
  const of = { rows: open.length, columns: columns.length };
  const outcomes = ids.map((id) => outcomeOf(grid, run.milestone, id));
  const offers = variants.offered.length > 0;
  const counted = countsTries(run.milestone);
  const tries = triesInRun(live.state.made);
  const round = Math.max(0, ...ids.map((id) => tries.get(id)?.length ?? 0)) + 1;
  const current = open[row];
  const toggle = (ordinal: number | undefined) =>
    current && ordinal && dispatch({ type: "toggle", studentId: current.studentId, ordinal });
  const recordAll = () => {
    if (ids.length === 0) return;
    const byId = new Map<string, Outcome>(ids.map((id) => [id, outcomeOf(grid, run.milestone, id)]));
    live.recordSection(byId, (id) => marksOf(grid, run.milestone, id));
    dispatch({ type: "nextTry" });
    toast(
      counted ? `Try ${round} recorded: ${tryWords(outcomes)}` : `Recorded: ${recordWords(run, outcomes)}`,
    );
  };
  useKeys({
    ...Object.fromEntries(columns.map((c) => [String(c.ordinal), () => toggle(c.ordinal)])),
    ArrowDown: () => dispatch({ type: "move", rows: 1, columns: 0, of }),
    ArrowUp: () => dispatch({ type: "move", rows: -1, columns: 0, of }),
    ArrowRight: () => dispatch({ type: "move", rows: 0, columns: 1, of }),
    ArrowLeft: () => dispatch({ type: "move", rows: 0, columns: -1, of }),
    " ": () => toggle(columns[grid.column]?.ordinal),
    a: () => current && dispatch({ type: "absent", studentId: current.studentId }),
    Enter: recordAll,
  });
  return (
    <section aria-label="Whole section at once">
      <div className="mb-3 flex flex-wrap items-baseline gap-3">
        <h2 className="text-[1.6rem]">{counted ? `Try ${round}: tap` : "Tap"} the fault you see</h2>
        <p className="small soft">
          No tap means fine.
          {counted && ` ${run.milestone.passRule} pass: down, set again, play.`}
        </p>
        <Button small className="ml-auto" onClick={onBack}>
          <Kbd>S</Kbd> one by one
        </Button>
      </div>
      {!current && <Empty>Nobody is left to mark.</Empty>}
      {current && (
        <>
          <div className="overflow-x-auto pb-1" tabIndex={0} role="region" aria-label="Students and criteria">
            <table className="w-full border-separate border-spacing-0">
              <thead>
                <tr>
                  <th scope="col" className={clsx(head, "bg-base-100 sticky left-0 z-[1] pr-3 pl-1")}>
                    Student
                  </th>
                  {columns.map((c) => (
                    <th
                      key={c.ordinal}
                      scope="col"
                      className={clsx(
                        "min-w-[5.2rem] px-1.5 pb-1.5 text-left align-bottom text-[0.82rem] leading-tight font-normal",
                        c.mustSee && "underline underline-offset-3",
                      )}
                    >
                      <Kbd>{c.ordinal}</Kbd>
                      <span className="mt-1 block">{c.name}</span>
                    </th>
                  ))}
                  <th scope="col" className={head}>
                    Away
                  </th>
                  {counted && (
                    <th scope="col" className={clsx(head, "px-2")}>
                      Tries now
                    </th>
                  )}
                  {offers && (
                    <th scope="col" className={head}>
                      Variant
                    </th>
                  )}
                </tr>
              </thead>
              <tbody>
                {open.map((player, i) => (
                  <GridRow
                    key={player.studentId}
                    player={player}
                    row={i}
                    columns={columns}
                    missed={grid.missed.get(player.studentId)}
                    away={grid.absent.has(player.studentId)}
                    words={rowWords(grid, run.milestone, player.studentId)}
                    tries={counted ? (tries.get(player.studentId) ?? none) : undefined}
                    goodTries={live.standings.get(player.studentId)?.goodTries ?? 0}
                    passK={run.milestone.passK}
                    current={i === row ? grid.column : undefined}
                    variant={offers && <VariantPick player={player} variants={variants} />}
                    dispatch={dispatch}
                  />
                ))}
              </tbody>
              <tfoot>
                <tr className="small soft">
                  <th
                    scope="row"
                    className="border-base-content border-t-[1.5px] py-1.5 pl-1 text-left font-normal"
                  >
                    Not seen
                  </th>
                  {columns.map((c) => (
                    <td key={c.ordinal} className="border-base-content border-t-[1.5px] px-1.5">
                      {missedCount(grid, ids, c.ordinal)} of {ids.length}
                    </td>
                  ))}
                  <td
                    className="border-base-content border-t-[1.5px]"
                    colSpan={1 + (counted ? 1 : 0) + (offers ? 1 : 0)}
                  />
                </tr>
              </tfoot>
            </table>
          </div>
          <div className="bg-base-100 hairline sticky bottom-0 z-10 mt-3 flex flex-wrap items-center gap-4 border-t-[1.5px] py-3">
            <Button look="primary" onClick={recordAll}>
              {counted
                ? `Record try ${round}: ${tryWords(outcomes)}`
                : `Record ${recordWords(run, outcomes)}`}{" "}
              <Kbd>Enter</Kbd>
            </Button>
            <span className="small soft">
              <Kbd>↑</Kbd> <Kbd>↓</Kbd> student &nbsp; <Kbd>1</Kbd>
              {columns.length > 1 && (
                <>
                  –<Kbd>{columns.length}</Kbd>
                </>
              )}{" "}
              fault &nbsp; <Kbd>A</Kbd> absent
            </span>
          </div>
          {everybody && <WhatToTry key={current.studentId} milestoneId={run.milestone.id} player={current} />}
        </>
      )}
    </section>
  );
}

const none: readonly Outcome[] = [];

const tryWords = (outcomes: readonly Outcome[]) =>
  countWords(outcomes).replace("passed", "good").replace("not yet", "not good");

/** Where criteria are counted, the server says who has passed. */
const recordWords = (run: Run, outcomes: readonly Outcome[]) =>
  run.milestone.passMark === undefined ? countWords(outcomes) : counted(outcomes.length, "student");
