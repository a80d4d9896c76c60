import { Link } from "react-router";
import type { PodiumClass } from "../../api/types";
import { weekday } from "../../app/days";
import { StudentName } from "../../app/StudentName";
import { lookAfterRows } from "./lookAfter";

interface Props {
  podiumClass: PodiumClass;
  search: string;
}

/** Who needs looking after, the most pressing first, each with what to do next. */
export function LookAfter({ podiumClass: c, search }: Props) {
  const { rows } = lookAfterRows(c);
  if (rows.length === 0)
    return c.watch.length > 0 ? null : <p className="soft">Nobody needs looking after today.</p>;
  return (
    <>
      <ul>
        {rows.map((row) => (
          <li
            key={row.key}
            className="grid grid-cols-[minmax(0,10rem)_minmax(0,1fr)_auto] gap-x-3 border-b border-[var(--hairline)] py-[3px] text-[0.94rem]"
          >
            <StudentName
              className="font-semibold"
              studentId={row.studentId}
              name={row.name}
              search={search}
            />
            <span className="min-w-0 truncate">
              {row.what}
              {row.since && <span className="soft"> {weekday(row.since)}</span>}
            </span>
            <span className="small soft text-right">
              {row.hear ? <Link to={{ pathname: `/hear/${row.hear}`, search }}>{row.next}</Link> : row.next}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
