import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { FairRow, FairSection } from "../../api/types";
import { shortDay } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { useScopeName } from "../../app/useScopeName";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { RosterTabs } from "../roster/RosterTabs";
import { fairnessQuery } from "./attention.queries";

/** Whether everybody gets a turn: how often each was heard, who never, how long they waited, whose tries were cut short. */
export function FairnessPage() {
  const { scope, allClasses } = useScope();
  const fairness = useQuery(fairnessQuery(scope));
  const name = useScopeName();
  const whole = fairness.data?.spread;
  return (
    <>
      <Heading
        title={`Turns, ${name}`}
        words={
          whole &&
          `${whole.fewest} to ${whole.most} turns each since ${shortDay(fairness.data!.from)}, half had ${whole.median} or fewer${
            whole.never > 0 ? `, ${counted(whole.never, "student")} never` : ""
          }`
        }
      >
        <RosterTabs />
      </Heading>
      {allClasses && !scope.instrument && (
        <Empty>Choose an instrument at the left to see it in every class.</Empty>
      )}
      {fairness.isLoading && <Skeleton rows={10} />}
      {fairness.isError && <Failed error={fairness.error} again={() => void fairness.refetch()} />}
      {fairness.data?.sections.length === 0 && <Empty>Nobody sits here yet.</Empty>}
      {fairness.data && (
        <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
          {fairness.data.sections.map((section) => (
            <Section key={section.instrument} section={section} most={Math.max(1, whole?.most ?? 1)} />
          ))}
        </div>
      )}
    </>
  );
}

function Section({ section, most }: { section: FairSection; most: number }) {
  return (
    <section aria-label={section.instrumentName}>
      <h2 className="mb-1 flex items-baseline gap-3 text-[1.15rem]">
        {section.instrumentName}
        {section.spread.uneven && <span className="small text-error font-semibold">uneven</span>}
      </h2>
      <table className="w-full border-separate border-spacing-0">
        <thead>
          <tr className="small soft text-left">
            {["Student", "Turns", "Longest wait", "Waiting", "Cut short"].map((heading, i) => (
              <th key={heading} scope="col" className={`pr-3 font-normal ${i > 1 ? "text-right" : ""}`}>
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {section.rows.map((row) => (
            <Row key={row.studentId} row={row} most={most} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Row({ row, most }: { row: FairRow; most: number }) {
  const { search } = useScope();
  const cell = "border-t border-[var(--hairline)] py-1.5 pr-3";
  return (
    <tr>
      <th scope="row" className={`${cell} text-left font-semibold whitespace-nowrap`}>
        <Link
          className="no-underline hover:underline"
          to={{ pathname: `/roster/students/${row.studentId}`, search: scopeSearch(search, {}) }}
        >
          {row.name}
        </Link>
      </th>
      <td className={`${cell} w-full`}>
        <span className="flex items-center gap-2">
          <span
            aria-hidden
            className="bg-base-content inline-block h-1.5 rounded-full"
            style={{ width: `${Math.max(1, (70 * row.times) / most)}%` }}
          />
          {row.times === 0 ? <b>never</b> : row.times}
        </span>
      </td>
      <td className={`${cell} text-right whitespace-nowrap`}>{counted(row.longestWait, "lesson")}</td>
      <td className={`${cell} text-right`}>{row.waiting}</td>
      <td className={`${cell} text-right`}>{row.cutShort || ""}</td>
    </tr>
  );
}
