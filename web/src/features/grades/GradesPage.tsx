import { useQuery } from "@tanstack/react-query";
import { Fragment, useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import type { GradeBook, GradeRow } from "../../api/types";
import { shortDay } from "../../app/days";
import { meQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { StudentName } from "../../app/StudentName";
import { looks } from "../../ui/looks";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { RosterTabs } from "../roster/RosterTabs";
import { GradeSettingsForm } from "./GradeSettingsForm";
import { gradesQuery, gradingQuery } from "./grades.queries";
import { gradedKinds, kindWords, periodOn } from "./grades";

/** Grades of a class in a marking period, each with how it came about; out as CSV. */
export function GradesPage({ director }: { director: boolean }) {
  const { scope } = useScope();
  const me = useQuery(meQuery);
  const grading = useQuery(gradingQuery);
  const [chosen, setChosen] = useState<string>();
  const [setting, setSetting] = useState(false);
  const periods = grading.data?.periods ?? [];
  const periodId =
    periods.find((period) => period.id === chosen)?.id ?? periodOn(periods, me.data?.today ?? "");
  const book = useQuery(gradesQuery(scope.classId, periodId));
  if (grading.isError) return <Failed error={grading.error} again={() => void grading.refetch()} />;
  if (!grading.data) return <Skeleton rows={9} />;
  return (
    <>
      <Heading title="Grades" words={book.data && `as of ${shortDay(book.data.on)}`}>
        <RosterTabs />
      </Heading>
      <div className="no-print mb-3 flex flex-wrap items-center gap-2">
        <select
          aria-label="Marking period"
          className={looks.smallSelect}
          value={periodId}
          onChange={(event) => setChosen(event.target.value)}
        >
          {periods.map((period) => (
            <option key={period.id} value={period.id}>
              {period.name}, {shortDay(period.first)} to {shortDay(period.last)}
            </option>
          ))}
        </select>
        {director && (
          <Button small aria-expanded={setting} onClick={() => setSetting((on) => !on)}>
            {setting ? "Back to the grades" : "How grades are made"}
          </Button>
        )}
        {scope.classId && periodId && !setting && (
          <a
            className={`${looks.smallButton} ml-auto font-semibold`}
            href={at("/api/grades/grades.csv", {}, { classId: scope.classId, periodId })}
            download
          >
            CSV
          </a>
        )}
      </div>
      {setting ? (
        <GradeSettingsForm
          key={JSON.stringify(grading.data)}
          grading={grading.data}
          onDone={() => setSetting(false)}
        />
      ) : !scope.classId ? (
        <Empty>Choose a class at the left.</Empty>
      ) : book.isError ? (
        <Failed error={book.error} again={() => void book.refetch()} />
      ) : !book.data ? (
        <Skeleton rows={9} />
      ) : (
        <Book book={book.data} instrument={scope.instrument} />
      )}
    </>
  );
}

function Book({ book, instrument }: { book: GradeBook; instrument?: string }) {
  const [open, setOpen] = useState<string>();
  const rows = book.students.filter((row) => !instrument || row.instrument === instrument);
  const kinds = gradedKinds.filter(([kind]) =>
    rows.some((row) => row.kinds.some((one) => one.kind === kind)),
  );
  if (rows.length === 0) return <Empty>Nobody sits there on that day.</Empty>;
  return (
    <div className="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_15rem]">
      <table className="w-full self-start">
        <thead>
          <tr className="soft border-b border-[var(--hairline)] text-left">
            <th className="py-1 font-normal">Student</th>
            <th className="px-2 text-right font-normal">Grade</th>
            {kinds.map(([kind, name]) => (
              <th key={kind} className="px-2 text-right font-normal">
                {name}
              </th>
            ))}
            <th>
              <span className="sr-only">How it came about</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Fragment key={row.studentId}>
              <tr className="border-b border-[var(--hairline)]">
                <td className="py-1">
                  <StudentOf row={row} />
                </td>
                <td className="px-2 text-right font-semibold tabular-nums">{row.written ?? "–"}</td>
                {kinds.map(([kind]) => {
                  const one = row.kinds.find((other) => other.kind === kind);
                  return (
                    <td key={kind} className="px-2 text-right tabular-nums">
                      {one ? one.percent : <span className="soft">–</span>}
                    </td>
                  );
                })}
                <td className="text-right">
                  <Button
                    small
                    look="quiet"
                    className="no-print"
                    aria-expanded={open === row.studentId}
                    aria-label={`How the grade of ${row.name} came about`}
                    onClick={() => setOpen(open === row.studentId ? undefined : row.studentId)}
                  >
                    How
                  </Button>
                </td>
              </tr>
              {open === row.studentId && (
                <tr>
                  <td colSpan={kinds.length + 3} className="bg-base-200 px-4 py-2">
                    <How row={row} />
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
      <Distribution book={book} />
    </div>
  );
}

function StudentOf({ row }: { row: GradeRow }) {
  const { search } = useScope();
  return (
    <>
      <StudentName
        className="font-semibold no-underline hover:underline"
        studentId={row.studentId}
        name={row.name}
        search={scopeSearch(search, {})}
      />{" "}
      <span className="small soft">{row.instrumentName.toLowerCase()}</span>
    </>
  );
}

function How({ row }: { row: GradeRow }) {
  return (
    <>
      <p className="mb-1">{row.kinds.map(kindWords).join(" · ") || "Nothing counts yet."}</p>
      <ul className="small grid gap-x-8 md:grid-cols-2">
        {row.items.map((item) => (
          <li
            key={item.milestoneId}
            className="flex justify-between gap-3 border-b border-[var(--hairline)] py-0.5"
          >
            <span>
              {item.kind === "LINE" ? `Line: ${item.title}` : item.title}
              <span className="soft">
                {" "}
                due {shortDay(item.dueOn)}, {item.words}
              </span>
            </span>
            <b className="whitespace-nowrap tabular-nums">
              {item.percent === undefined ? "–" : `${item.percent} %`}
            </b>
          </li>
        ))}
      </ul>
    </>
  );
}

/** How many have each grade: counts, since an average hides who is where. */
function Distribution({ book }: { book: GradeBook }) {
  const most = Math.max(1, ...book.distribution.map((count) => count.students));
  const first = book.distribution.findIndex((count) => count.students > 0);
  const shown = first < 0 ? [] : book.distribution.slice(first);
  if (shown.length === 0) return null;
  return (
    <section aria-label="How many have each grade">
      <h2 className="mb-1 text-[1.1rem]">{book.className}</h2>
      <dl className="grid grid-cols-[auto_1fr_auto] items-center gap-x-2">
        {shown.toReversed().map((count) => (
          <Fragment key={count.written}>
            <dt className="small soft">{count.written}</dt>
            <dd aria-hidden>
              <span
                className="bg-primary block h-3 rounded-sm"
                style={{ width: `${(100 * count.students) / most}%` }}
              />
            </dd>
            <dd className="small text-right tabular-nums">{count.students}</dd>
          </Fragment>
        ))}
      </dl>
      <p className="small soft mt-2">
        What is <Link to="/season/sheet">due later</Link> and not yet passed is left out.
      </p>
    </section>
  );
}
