import type { CSSProperties } from "react";
import { Fragment } from "react";
import { Link } from "react-router";
import { StudentName } from "../../app/StudentName";
import type { BoardRow, BoardView } from "../../api/types";
import { shortDay } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { ProgressMark } from "../../ui/ProgressMark";

/** Pixels of a sheet lying on its side, of what names a student, and of a column. */
const PAPER = 1000;
const NAMES = 260;
const COLUMN = 49;

/** How much smaller a table of so many columns is printed, so that none is cut off. */
const fitOnPaper = (columns: number) => Math.min(1, PAPER / (NAMES + columns * COLUMN));

export function BoardTable({ board }: { board: BoardView }) {
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const belts = new Map(board.belts.map((belt) => [belt.id, belt]));
  return (
    <div
      className="max-h-[calc(100vh-265px)] overflow-auto print:max-h-none print:overflow-visible"
      tabIndex={0}
      role="region"
      aria-label="Section board"
    >
      <table
        className="on-wide-paper border-separate border-spacing-0"
        style={{ "--fits": fitOnPaper(board.columns.length) } as CSSProperties}
      >
        <thead>
          <tr className="small">
            <th
              scope="col"
              className="bg-base-100 border-base-content sticky top-0 left-0 z-20 border-b-[1.5px] pr-3 pb-1 text-left align-bottom font-normal"
            >
              Student
            </th>
            <th
              scope="col"
              className="bg-base-100 border-base-content sticky top-0 z-10 border-b-[1.5px] pr-3 pb-1 text-left align-bottom font-normal"
            >
              Belt
            </th>
            {board.columns.map((column) => (
              <th
                key={column.milestoneIds[0]}
                scope="col"
                className="bg-base-100 border-base-content sticky top-0 z-10 border-b-[1.5px] px-1 pb-1 text-center align-bottom font-normal"
              >
                <Link
                  to={{
                    pathname: column.milestoneIds.length === 1 ? `/hear/${column.milestoneIds[0]}` : "/hear",
                    search: kept,
                  }}
                  title={`Hear ${column.title}`}
                  className="block rounded-md px-0.5 no-underline hover:underline"
                >
                  <span className="block font-semibold">{column.shortName}</span>
                  <span className="soft block whitespace-nowrap text-[0.8rem]">{shortDay(column.dueOn)}</span>
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {board.rows.map((row, i) => (
            <Fragment key={`${row.studentId}${row.instrument}`}>
              {startsSection(board.rows, i) && (
                <tr>
                  <th
                    scope="colgroup"
                    colSpan={board.columns.length + 2}
                    className="soft small bg-base-100 sticky left-0 pt-2.5 pb-0.5 text-left font-normal"
                  >
                    {sectionOf(row)}
                  </th>
                </tr>
              )}
              <tr className="group">
                <th
                  scope="row"
                  className="bg-base-100 group-hover:bg-base-200 sticky left-0 z-10 border-b border-[var(--hairline)] py-1.5 pr-4 text-left font-semibold whitespace-nowrap"
                >
                  <StudentName
                    className="no-underline hover:underline"
                    studentId={row.studentId}
                    name={row.name}
                    search={kept}
                  />
                </th>
                <td className="group-hover:bg-base-200 border-b border-[var(--hairline)] pr-3">
                  <BeltStrip belt={row.wornBelt ? belts.get(row.wornBelt) : undefined} width={86} />
                </td>
                {row.marks.map((mark, m) => (
                  <td
                    key={board.columns[m]!.milestoneIds[0]}
                    className="group-hover:bg-base-200 min-w-[2.9rem] border-b border-[var(--hairline)] text-center"
                  >
                    {mark.state === "NOT_SET" ? (
                      <span className="sr-only">not set</span>
                    ) : (
                      <ProgressMark {...mark} />
                    )}
                  </td>
                ))}
              </tr>
            </Fragment>
          ))}
        </tbody>
        <tfoot>
          <tr className="small">
            <th scope="row" className="bg-base-100 sticky bottom-0 left-0 z-20 py-1.5 text-left font-normal">
              Passed
            </th>
            <td className="bg-base-100 sticky bottom-0" />
            {board.columns.map((column) => (
              <td
                key={column.milestoneIds[0]}
                className="bg-base-100 sticky bottom-0 text-center whitespace-nowrap"
              >
                {column.passed}
                <span className="soft">/{column.asked}</span>
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

const sectionOf = (row: BoardRow) =>
  row.division ? `${row.instrumentName}, ${row.division}` : row.instrumentName;

/** Where a new section begins, when the board shows more than one. */
function startsSection(rows: readonly BoardRow[], i: number): boolean {
  const several = sectionOf(rows[0]!) !== sectionOf(rows.at(-1)!);
  return several && (i === 0 || sectionOf(rows[i - 1]!) !== sectionOf(rows[i]!));
}
