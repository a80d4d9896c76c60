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
  const columns = board.data.columns.slice(from);
  return (
    <table className="small mt-auto hidden w-full border-t-[1.5px] border-[var(--hairline)] sm:table">
      <caption className="sr-only">The latest milestones</caption>
      <thead>
        <tr className="soft text-left">
          <th className="pt-2.5 font-normal">Latest</th>
          {columns.map((column) => (
            <th
              key={column.milestoneId}
              scope="col"
              title={column.title}
              className={`pt-2.5 font-normal ${column.milestoneId === milestoneId ? "text-base-content font-semibold!" : ""}`}
            >
              {column.shortName}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row" className="py-1 text-left font-normal">
            {row.name.split(" ")[0]}
          </th>
          {columns.map((column, i) => (
            <td key={column.milestoneId} className="py-1">
              <ProgressMark {...row.marks[from + i]!} size={15} />
            </td>
          ))}
        </tr>
        <tr>
          <th scope="row" className="text-left font-normal">
            Section
          </th>
          {columns.map((column) => (
            <td key={column.milestoneId}>
              {column.passed} of {column.asked}
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}
