import { Link } from "react-router";
import type { Belt, BoardRow } from "../../api/types";
import { useScopeName } from "../../app/useScopeName";
import { scopeSearch, useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { MarkLegend } from "../../ui/MarkLegend";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { ProgressMark } from "../../ui/ProgressMark";
import { capital } from "./BoardPage";
import { RosterTabs } from "./RosterTabs";
import { useBoard } from "./useBoard";
import { counted } from "../../ui/words";

/** Everybody's belt and what is missing for the next. */
export function BeltsPage() {
  const { board, needsInstrument } = useBoard();
  const name = useScopeName();
  const near = board.data?.rows.filter((row) => row.nextBelt && row.missing.length === 1).length ?? 0;
  const ladders = laddersOf(board.data?.rows ?? [], board.data?.belts ?? []);
  return (
    <>
      <Heading
        title={`${capital(name)}, belts`}
        words={
          near > 0
            ? `${counted(near, "student is", "students are")} one milestone away from the next`
            : undefined
        }
      >
        <RosterTabs />
      </Heading>
      {needsInstrument && <Empty>Choose an instrument at the left to see it in every class.</Empty>}
      {board.isLoading && <Skeleton rows={10} />}
      {board.isError && <Failed error={board.error} again={() => void board.refetch()} />}
      {board.data?.rows.length === 0 && <Empty>Nobody sits here yet.</Empty>}
      {board.data && board.data.rows.length > 0 && (
        <>
          {ladders.map((ladder) => (
            <ol
              key={ladder[0]!.ladder}
              aria-label={`${ladder[0]!.ladder} ladder`}
              className="mb-4 flex flex-wrap gap-x-2 gap-y-2"
            >
              {ladder.map((belt) => (
                <li key={belt.id}>
                  <BeltStrip belt={belt} width={126} />
                  <span className="small mt-0.5 block">{belt.name}</span>
                </li>
              ))}
            </ol>
          ))}
          <BeltTable
            rows={board.data.rows}
            belts={new Map(board.data.belts.map((belt) => [belt.id, belt]))}
          />
          <div className="mt-4">
            <MarkLegend />
          </div>
        </>
      )}
    </>
  );
}

/** The ladders somebody here stands on. */
function laddersOf(rows: readonly BoardRow[], belts: readonly Belt[]): Belt[][] {
  const used = new Set(rows.flatMap((row) => [row.wornBelt, row.nextBelt]));
  const names = [...new Set(belts.filter((belt) => used.has(belt.id)).map((belt) => belt.ladder))];
  return names.map((ladder) => belts.filter((belt) => belt.ladder === ladder));
}

function BeltTable({ rows, belts }: { rows: BoardRow[]; belts: Map<string, Belt> }) {
  const { search } = useScope();
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Belts">
      <table className="w-full border-separate border-spacing-0">
        <thead>
          <tr className="small soft text-left">
            {["Student", "Belt worn", "Toward the next", "Missing"].map((heading) => (
              <th
                key={heading}
                scope="col"
                className="border-base-content border-t-[1.5px] border-b border-b-[var(--hairline)] py-2 pr-4 font-normal"
              >
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.studentId + row.instrument} className="hover:bg-base-200">
              <th
                scope="row"
                className="border-b border-[var(--hairline)] py-2.5 pr-4 text-left font-semibold whitespace-nowrap"
              >
                <Link
                  className="no-underline hover:underline"
                  to={{ pathname: `/roster/students/${row.studentId}`, search: scopeSearch(search, {}) }}
                >
                  {row.name}
                </Link>
              </th>
              <td className="border-b border-[var(--hairline)] pr-5">
                <BeltStrip belt={row.wornBelt ? belts.get(row.wornBelt) : undefined} />
              </td>
              <td className="border-b border-[var(--hairline)] pr-5">
                <span className="flex items-center gap-2.5">
                  <span className="small soft w-[5.5rem]">
                    {row.nextBelt && belts.get(row.nextBelt)?.name}
                  </span>
                  {row.towardNext.map((mark, i) => (
                    <ProgressMark key={i} {...mark} />
                  ))}
                </span>
              </td>
              <td className="border-b border-[var(--hairline)]">
                <Missing row={row} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Missing({ row }: { row: BoardRow }) {
  if (!row.nextBelt)
    return (
      <span className="soft">{row.wornBelt ? "top of the ladder" : "no ladder for this instrument"}</span>
    );
  if (row.missing.length === 1) {
    return (
      <>
        one away: <b>{row.missing[0]}</b>
      </>
    );
  }
  return <>{row.missing.join(", ")}</>;
}
