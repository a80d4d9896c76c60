import clsx from "clsx";
import { useReducer } from "react";
import type { Outcome, Run } from "../../api/types";
import { useKeys } from "../../app/useKeys";
import { Button, Empty, Kbd } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { emptyGrid, gridReducer, isMissed, marksOf, missedCount, outcomeOf } from "./checkGrid";
import { milestoneName } from "./HearPage";
import { countWords, outcomeWords } from "./run";
import type { useRun } from "./useRun";

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
  onBack: () => void;
}

/** A check run on a whole section: one tap marks the fault seen, no tap means fine. */
export function CheckGrid({ run, live, onBack }: Props) {
  const toast = useToast();
  const [grid, dispatch] = useReducer(gridReducer, emptyGrid);
  const open = run.players.filter((player) => live.state.queue.includes(player.studentId));
  const { criteria } = run.milestone;
  const ids = open.map((player) => player.studentId);
  const of = { rows: open.length, columns: criteria.length };
  const outcomes = ids.map((id) => outcomeOf(grid, id));
  const toggle = (studentId: string | undefined, ordinal: number | undefined) =>
    studentId && ordinal && dispatch({ type: "toggle", studentId, ordinal });
  const current = ids[grid.row];
  const recordAll = () => {
    if (ids.length === 0) return;
    const byId = new Map<string, Outcome>(ids.map((id) => [id, outcomeOf(grid, id)]));
    live.recordSection(byId, (id) => marksOf(grid, run.milestone, id));
    toast(`Recorded: ${countWords(outcomes)}`);
  };
  useKeys({
    ...Object.fromEntries(criteria.map((c) => [String(c.ordinal), () => toggle(current, c.ordinal)])),
    ArrowDown: () => dispatch({ type: "move", rows: 1, columns: 0, of }),
    ArrowUp: () => dispatch({ type: "move", rows: -1, columns: 0, of }),
    ArrowRight: () => dispatch({ type: "move", rows: 0, columns: 1, of }),
    ArrowLeft: () => dispatch({ type: "move", rows: 0, columns: -1, of }),
    " ": () => toggle(current, criteria[grid.column]?.ordinal),
    a: () => current && dispatch({ type: "absent", studentId: current }),
    Enter: recordAll,
  });
  return (
    <section aria-label="Whole section at once">
      <div className="mb-3 flex flex-wrap items-baseline gap-3">
        <h2 className="text-[1.6rem]">Tap the fault you see</h2>
        <p className="small soft">{milestoneName(run.milestone)}. No tap means fine.</p>
        <Button small className="ml-auto" onClick={onBack}>
          <Kbd>S</Kbd> one by one
        </Button>
      </div>
      {open.length === 0 && <Empty>Nobody is left to mark.</Empty>}
      {open.length > 0 && (
        <>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Students and criteria">
            <table className="w-full border-separate border-spacing-0">
              <thead>
                <tr>
                  <th scope="col" className="small soft pr-3 pb-1 text-left align-bottom font-normal">
                    Student
                  </th>
                  {criteria.map((c) => (
                    <th
                      key={c.ordinal}
                      scope="col"
                      className="min-w-[5.2rem] px-1.5 pb-1.5 text-left align-bottom text-[0.82rem] leading-tight font-normal"
                    >
                      <Kbd>{c.ordinal}</Kbd>
                      <span className="mt-1 block">{c.name}</span>
                    </th>
                  ))}
                  <th scope="col" className="small soft px-1.5 pb-1 text-left align-bottom font-normal">
                    Away
                  </th>
                </tr>
              </thead>
              <tbody>
                {open.map((player, row) => (
                  <tr key={player.studentId} className={clsx(row === grid.row && "bg-base-200")}>
                    <th
                      scope="row"
                      className="border-t border-[var(--hairline)] py-1 pr-3 pl-1 text-left font-semibold whitespace-nowrap"
                    >
                      {player.name}
                      <span className="small soft ml-2 font-normal">
                        {outcomes[row] === "PASS" ? "" : outcomeWords[outcomes[row]!]}
                      </span>
                    </th>
                    {criteria.map((c, column) => (
                      <td key={c.ordinal} className="border-t border-[var(--hairline)] p-1">
                        <GridCell
                          label={`${player.name}: ${c.name}`}
                          on={isMissed(grid, player.studentId, c.ordinal)}
                          away={grid.absent.has(player.studentId)}
                          current={row === grid.row && column === grid.column}
                          onPress={() => {
                            toggle(player.studentId, c.ordinal);
                            dispatch({ type: "at", row, column });
                          }}
                        />
                      </td>
                    ))}
                    <td className="border-t border-[var(--hairline)] p-1">
                      <GridCell
                        label={`${player.name} is absent`}
                        on={grid.absent.has(player.studentId)}
                        onPress={() => dispatch({ type: "absent", studentId: player.studentId })}
                      />
                    </td>
                  </tr>
                ))}
              </tbody>
              <tfoot>
                <tr className="small soft">
                  <th
                    scope="row"
                    className="border-base-content border-t-[1.5px] py-1.5 text-left font-normal"
                  >
                    Not seen
                  </th>
                  {criteria.map((c) => (
                    <td key={c.ordinal} className="border-base-content border-t-[1.5px] px-1.5">
                      {missedCount(grid, ids, c.ordinal)} of {ids.length}
                    </td>
                  ))}
                  <td className="border-base-content border-t-[1.5px]" />
                </tr>
              </tfoot>
            </table>
          </div>
          <div className="bg-base-100 hairline sticky bottom-0 mt-3 flex flex-wrap items-center gap-4 border-t-[1.5px] py-3">
            <Button look="primary" onClick={recordAll}>
              Record {countWords(outcomes)} <Kbd>Enter</Kbd>
            </Button>
            <span className="small soft">
              <Kbd>↑</Kbd> <Kbd>↓</Kbd> student &nbsp; <Kbd>1</Kbd>–<Kbd>{criteria.length}</Kbd> fault &nbsp;{" "}
              <Kbd>A</Kbd> absent
            </span>
          </div>
        </>
      )}
    </section>
  );
}

interface CellProps {
  label: string;
  on: boolean;
  away?: boolean;
  current?: boolean;
  onPress: () => void;
}

function GridCell({ label, on, away, current, onPress }: CellProps) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={on}
      onClick={(event) => {
        onPress();
        if (event.detail > 0) event.currentTarget.blur();
      }}
      className={clsx(
        "h-11 w-full min-w-11 rounded-lg border-[1.5px] text-lg leading-none",
        on ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
        away && "opacity-40",
        current && "outline-2 outline-offset-1 outline-[var(--now)]",
      )}
    >
      <span aria-hidden>{on ? "×" : ""}</span>
    </button>
  );
}
