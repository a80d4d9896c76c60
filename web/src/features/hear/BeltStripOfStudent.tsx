import { useQuery } from "@tanstack/react-query";
import { boardQuery } from "../../app/queries";
import { useScope } from "../../app/scope";
import { ProgressMark } from "../../ui/ProgressMark";

const MOST = 9;

/** The last milestones at a glance: this student's marks above the section's counts. */
export function BeltStripOfStudent({ studentId, milestoneId }: { studentId: string; milestoneId: string }) {
  const { scope } = useScope();
  const board = useQuery(boardQuery(scope));
  const row = board.data?.rows.find((r) => r.studentId === studentId);
  if (!board.data || !row) return null;
  const from = Math.max(0, board.data.columns.length - MOST);
  const columns = board.data.columns
    .slice(from)
    .map((column, i) => ({ ...column, mark: row.marks[from + i]! }));
  return (
    <div className="small mt-8 hidden sm:block">
      <table className="w-full table-fixed border-t-[1.5px] border-[var(--hairline)]">
        <caption className="sr-only">The latest milestones</caption>
        <thead>
          <tr className="soft text-center">
            <th className="w-20 pt-2.5 text-left font-normal">Latest</th>
            {columns.map((column) => (
              <th
                key={column.milestoneIds[0]}
                scope="col"
                title={column.title}
                className={`truncate px-1 pt-2.5 font-normal ${column.milestoneIds.includes(milestoneId) ? "text-base-content font-semibold!" : ""}`}
              >
                {column.shortName}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="text-center">
          <tr>
            <th scope="row" className="truncate py-1 text-left font-normal">
              {row.name.split(" ")[0]}
            </th>
            {columns.map((column) => (
              <td key={column.milestoneIds[0]} className="py-1">
                {column.mark.state === "NOT_SET" ? (
                  <span className="sr-only">not set</span>
                ) : (
                  <ProgressMark {...column.mark} size={15} />
                )}
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row" className="text-left font-normal">
              Section
            </th>
            {columns.map((column) => (
              <td key={column.milestoneIds[0]} className="whitespace-nowrap">
                {column.passed}
                <span className="soft">/{column.asked}</span>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
