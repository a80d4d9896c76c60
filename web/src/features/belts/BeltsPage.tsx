import { useQuery } from "@tanstack/react-query";
import { Printer } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { at } from "../../api/at";
import type { Belt, BeltBoard, BeltRun } from "../../api/types";
import { yearQuery } from "../../app/queries";
import { chosenDay } from "../../app/ribbon";
import { scopeSearch, useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { useScopeName } from "../../app/useScopeName";
import { BeltStrip } from "../../ui/BeltStrip";
import { looks } from "../../ui/looks";
import { MarkLegend } from "../../ui/MarkLegend";
import { Button, Empty, Failed, Heading, Kbd, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { RosterTabs } from "../roster/RosterTabs";
import { beltBoardQuery } from "./belts.queries";
import { BeltTable } from "./BeltTable";
import { HandingOver } from "./HandingOver";

/** Everybody's belt, what is to be handed over, and what is missing for the next. */
export function BeltsPage() {
  const { scope, week, allClasses } = useScope();
  const year = useQuery(yearQuery);
  const on = week && year.data ? chosenDay(year.data, week) : undefined;
  const board = useQuery(beltBoardQuery(scope, on));
  const name = useScopeName();
  return (
    <>
      <Heading title={`Belts, ${name}`} words={board.data && about(board.data)}>
        <RosterTabs />
      </Heading>
      {allClasses && !scope.instrument && (
        <Empty>Choose an instrument at the left to see it in every class.</Empty>
      )}
      {board.isLoading && <Skeleton rows={10} />}
      {board.isError && <Failed error={board.error} again={() => void board.refetch()} />}
      {board.data?.rows.length === 0 && <Empty>Nobody sits here yet.</Empty>}
      {board.data && board.data.rows.length > 0 && <Board board={board.data} past={on !== undefined} />}
    </>
  );
}

/** "winds ladder, seven belts · 2 to hand over" */
function about(board: BeltBoard): string {
  const due = board.rows.reduce((sum, row) => sum + row.due.length, 0);
  const ladders = [...new Set(board.belts.map((belt) => belt.ladder))];
  const which =
    ladders.length === 1
      ? `${ladders[0]} ladder, ${counted(board.belts.length, "belt")}`
      : counted(ladders.length, "ladder");
  return [which, due > 0 && `${due} to hand over`].filter(Boolean).join(" · ");
}

const runPath = (run: BeltRun) => `/hear/${run.milestoneId}`;
const called = (run: BeltRun) => run.students.map((student) => student.studentId).join(",");

function Board({ board, past }: { board: BeltBoard; past: boolean }) {
  const { search, scope } = useScope();
  const navigate = useNavigate();
  const [handing, setHanding] = useState(false);
  const due = board.rows.reduce((sum, row) => sum + row.due.length, 0);
  const belts = new Map(board.belts.map((belt) => [belt.id, belt]));
  const first = board.runs[0];
  const whole = scopeSearch(search, {});
  const runSearch = (run: BeltRun) => {
    const params = new URLSearchParams(whole);
    params.set("called", called(run));
    return params.toString();
  };
  useKeys({
    r: first && (() => void navigate({ pathname: runPath(first), search: runSearch(first) })),
  });
  return (
    <>
      <div className="mb-2 flex flex-wrap items-start gap-x-8 gap-y-3">
        <div className="grow">
          {laddersOf(board.belts).map((ladder) => (
            <LadderRow key={ladder[0]!.ladder} ladder={ladder} />
          ))}
        </div>
        <div className="no-print ml-auto flex flex-wrap gap-2">
          <Link className={looks.smallButton} to={{ pathname: "/library/ladders", search: whole }}>
            Ladders
          </Link>
          <a className={looks.smallButton} href={at("/api/belts/wall-board.pdf", {}, { ...scope })} download>
            <Printer size={15} aria-hidden /> Wall board
          </a>
          {due > 0 && !past && (
            <Button small look="primary" onClick={() => setHanding(!handing)} aria-expanded={handing}>
              Hand over {counted(due, "belt")}
            </Button>
          )}
        </div>
      </div>
      {handing && due > 0 && <HandingOver board={board} belts={belts} onDone={() => setHanding(false)} />}
      {board.runs.length > 0 && !past && (
        <section aria-label="One hearing away" className="mb-3">
          <ul className="flex flex-wrap gap-2">
            {board.runs.map((run) => (
              <li key={run.milestoneId}>
                <Link
                  className={looks.smallButton}
                  to={{ pathname: runPath(run), search: runSearch(run) }}
                  title={run.students.map((student) => student.name).join(", ")}
                >
                  Hear {run.name}: {counted(run.students.length, "belt")} within reach, {run.minutes} min{" "}
                  {run === first && <Kbd>R</Kbd>}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      <BeltTable rows={board.rows} belts={belts} />
      <div className="mt-4">
        <MarkLegend />
      </div>
    </>
  );
}

function LadderRow({ ladder }: { ladder: Belt[] }) {
  return (
    <ol aria-label={`${ladder[0]!.ladder} ladder`} className="mb-2 flex flex-wrap gap-x-2 gap-y-2">
      {ladder.map((belt) => (
        <li key={belt.id}>
          <BeltStrip belt={belt} width={84} />
          <span className="small mt-0.5 block">{belt.name}</span>
        </li>
      ))}
    </ol>
  );
}

function laddersOf(belts: readonly Belt[]): Belt[][] {
  return [...new Set(belts.map((belt) => belt.ladder))].map((ladder) =>
    belts.filter((belt) => belt.ladder === ladder),
  );
}
