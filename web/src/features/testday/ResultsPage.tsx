import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { scopeSearch, useScope } from "../../app/scope";
import { useScopeName } from "../../app/useScopeName";
import type { TestResults } from "../../api/types";
import { looks } from "../../ui/looks";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { DotStrip } from "./DotStrip";
import { FailedLine } from "./FailedLine";
import {
  byNeed,
  comparedWords,
  countsWords,
  distributionWords,
  kappaWords,
  shortWords,
  standWords,
  stricterWords,
} from "./resultWords";
import { ToAgree } from "./ToAgree";
import { Trains } from "./Trains";
import { testResultsQuery } from "./results.queries";

const SHOWN = 8;

/** How a section stands in a test: criterion by criterion, where it failed, who is short of what, and who heard it alike. */
export function ResultsPage() {
  const { milestoneId = "" } = useParams();
  const { scope, search } = useScope();
  const name = useScopeName();
  const results = useQuery(testResultsQuery(milestoneId, scope));
  if (!scope.classId && !scope.instrument) return <Empty>Choose a class at the left.</Empty>;
  if (results.isError) return <Failed error={results.error} again={() => void results.refetch()} />;
  if (!results.data) return <Skeleton rows={9} />;
  const told = results.data;
  const hear = { pathname: `/hear/${milestoneId}`, search: scopeSearch(search, {}) };
  return (
    <>
      <Heading title={`${told.title}, ${name}`} words={standWords(told)}>
        <Link
          className={`${looks.smallButton} font-semibold`}
          to={{ ...hear, pathname: `${hear.pathname}/day` }}
        >
          Days
        </Link>
        <Link className={`${looks.smallPrimary} font-semibold`} to={hear}>
          Hear
        </Link>
      </Heading>
      {told.heard === 0 ? (
        <Empty>Nobody of {name} was heard with it yet; the strips come with the first.</Empty>
      ) : (
        <>
          <div className="grid gap-x-10 gap-y-5 lg:grid-cols-2">
            <section aria-label="Where the section stands">
              <h2 className="mb-2 text-[1.2rem]">Where the section stands</h2>
              <div className="grid gap-1">
                {told.criteria.map((criterion) => (
                  <DotStrip
                    key={criterion.ordinal}
                    criterion={criterion}
                    weakest={criterion.ordinal === told.weakest}
                  />
                ))}
              </div>
              <p className="small soft mt-1">Each note-head one student; bar below: the whole class.</p>
            </section>
            <div className="grid content-start gap-5">
              {told.waiting.length > 0 && (
                <p>
                  <b>{told.waiting.join(", ")}</b>: the other listener is done, you are not; scores stay
                  hidden until then.
                </p>
              )}
              <WhereItFailed told={told} />
              <Trains told={told} />
              {told.listeners.map((pair) => (
                <Listeners key={`${pair.first} ${pair.second}`} pair={pair} />
              ))}
            </div>
          </div>
          <div className="mt-5 grid gap-x-10 gap-y-5 lg:grid-cols-2">
            <Distribution told={told} />
            <ToAgree told={told} />
            <Earlier told={told} />
          </div>
          <Students told={told} />
        </>
      )}
    </>
  );
}

function WhereItFailed({ told }: { told: TestResults }) {
  if (told.failed.length === 0) return null;
  return (
    <section aria-label="Where it failed">
      <h2 className="mb-1 text-[1.2rem]">Where it failed</h2>
      <ul>
        {told.failed.map((one) => (
          <li
            key={`${one.measure ?? ""} ${one.sign}`}
            className="flex justify-between gap-3 border-b border-[var(--hairline)] py-0.5"
          >
            <span>
              {one.measure !== undefined && <b>m. {one.measure} </b>}
              {one.sign}
            </span>
            <span className="small soft">
              {one.students} of {told.heard}
            </span>
          </li>
        ))}
      </ul>
      <FailedLine told={told} />
    </section>
  );
}

/** How many have how many points: counts, since an average hides who is where. */
function Distribution({ told }: { told: TestResults }) {
  if (told.distribution.length === 0) return null;
  const most = Math.max(...told.distribution.map((one) => one.ofClass));
  return (
    <section aria-label="Points">
      <h2 className="mb-1 text-[1.2rem]">Points, counted</h2>
      <ul className="flex items-end gap-1.5">
        {told.distribution.map((one) => (
          <li key={one.points} className="grid justify-items-center" title={distributionWords(one)}>
            <span className="sr-only">{distributionWords(one)}</span>
            <span
              aria-hidden
              className="bg-base-300 flex w-5 items-end"
              style={{ height: (48 * one.ofClass) / most }}
            >
              <span className="bg-neutral w-5" style={{ height: (48 * one.students) / most }} />
            </span>
            <span aria-hidden className={told.mark === one.points ? "small font-bold" : "small soft"}>
              {one.points}
            </span>
          </li>
        ))}
      </ul>
      <p className="small soft">Dark: the section; light: the whole class.</p>
    </section>
  );
}

/** The same test earlier in the year, of those who were heard again. */
function Earlier({ told }: { told: TestResults }) {
  const { compared } = told;
  if (!compared) return null;
  return (
    <section aria-label="Earlier and now">
      <h2 className="mb-1 text-[1.2rem]">Earlier and now</h2>
      <p>{comparedWords(compared)}</p>
      <ul>
        {compared.criteria.map((one) => (
          <li
            key={one.ordinal}
            className="flex justify-between gap-3 border-b border-[var(--hairline)] py-0.5"
          >
            <span>{told.criteria.find((criterion) => criterion.ordinal === one.ordinal)?.name}</span>
            <span className="tabular-nums">
              {one.before} → <b>{one.now}</b>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Listeners({ pair }: { pair: TestResults["listeners"][number] }) {
  return (
    <section aria-label={`${pair.first} and ${pair.second}`}>
      <h2 className="mb-1 text-[1.2rem]">
        {pair.first} and {pair.second} heard the same {counted(pair.students, "student")}
      </h2>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4">
        <dt>same points</dt>
        <dd className="text-right font-semibold">
          {pair.same} of {pair.marks}
        </dd>
        <dt>one point apart</dt>
        <dd className="text-right font-semibold">
          {pair.oneApart} of {pair.marks}
        </dd>
      </dl>
      {pair.apart.map((one) => (
        <p key={`${one.studentId} ${one.criterion}`}>
          further apart: <b>{one.name}</b>, {one.criterion.toLowerCase()}: {one.first} and {one.second}
        </p>
      ))}
      {stricterWords(pair) && <p>{stricterWords(pair)}</p>}
      <p className="small soft">{kappaWords(pair)}</p>
    </section>
  );
}

function Students({ told }: { told: TestResults }) {
  const [all, setAll] = useState(false);
  const { search } = useScope();
  const students = byNeed(told.students);
  const shown = all ? students : students.slice(0, SHOWN);
  return (
    <section aria-label="Students" className="mt-6 overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="soft border-b border-[var(--hairline)] text-left">
            <th className="py-1 font-normal">Student</th>
            {told.criteria.map((criterion) => (
              <th key={criterion.ordinal} className="px-2 font-normal">
                {criterion.name.toLowerCase()}
              </th>
            ))}
            <th className="px-2 font-normal">of {told.top}</th>
            <th className="font-normal">
              <span className="sr-only">Result</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((student) => (
            <tr key={student.studentId} className="border-b border-[var(--hairline)]">
              <td className="py-1">
                <Link
                  className="font-semibold no-underline hover:underline"
                  to={{
                    pathname: `/roster/students/${student.studentId}`,
                    search: scopeSearch(search, {}),
                  }}
                >
                  {student.name}
                </Link>{" "}
                <span className="small soft">{student.instrumentName.toLowerCase()}</span>
              </td>
              {student.marks.map((points, i) => (
                <td key={told.criteria[i]?.ordinal} className="px-2 tabular-nums">
                  {points}
                </td>
              ))}
              <td className="px-2 font-semibold tabular-nums">{student.points}</td>
              <td>
                <b>{student.passed ? "passed" : "not yet"}</b>{" "}
                <span className="small soft">
                  {shortWords(student)} {countsWords(student, told.top)} {student.retake}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {students.length > SHOWN && (
        <Button small look="quiet" className="no-print mt-1 -ml-3" onClick={() => setAll((on) => !on)}>
          {all ? "Fewer" : `${students.length - SHOWN} more`}
        </Button>
      )}
    </section>
  );
}
