import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { AttentionReason, AttentionRow } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { useScopeName } from "../../app/useScopeName";
import { looks } from "../../ui/looks";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { RosterTabs } from "../roster/RosterTabs";
import { attentionQuery } from "./attention.queries";
import { Decided } from "./Decided";

/** Who needs the director and why, with the next action; below it how decisions about sections turned out. */
export function AttentionPage() {
  const { scope, allClasses } = useScope();
  const attention = useQuery(attentionQuery(scope));
  const name = useScopeName();
  const found = attention.data;
  return (
    <>
      <Heading
        title={`Attention, ${name}`}
        words={found && `${counted(found.students.length + found.more, "student")}, the gravest reason first`}
      >
        <RosterTabs />
      </Heading>
      {allClasses && !scope.instrument && (
        <Empty>Choose an instrument at the left to see it in every class.</Empty>
      )}
      {attention.isLoading && <Skeleton rows={8} />}
      {attention.isError && <Failed error={attention.error} again={() => void attention.refetch()} />}
      {found?.students.length === 0 && <Empty>Nobody here needs more than the lesson does.</Empty>}
      {found && found.students.length > 0 && (
        <ul className="border-base-content border-t-[1.5px]">
          {found.students.map((row) => (
            <Student key={row.studentId} row={row} />
          ))}
        </ul>
      )}
      {found && found.more > 0 && (
        <p className="soft mt-2">and {found.more} more; choose a section at the left to see its own</p>
      )}
      {scope.classId && <Decided classId={scope.classId} />}
    </>
  );
}

function Student({ row }: { row: AttentionRow }) {
  const { search } = useScope();
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-[var(--hairline)] py-2.5 md:grid-cols-[13rem_minmax(0,1fr)]">
      <span>
        <Link
          className="font-semibold no-underline hover:underline"
          to={{ pathname: `/roster/students/${row.studentId}`, search: scopeSearch(search, {}) }}
        >
          {row.name}
        </Link>
        <span className="small soft block">{row.instrumentName}</span>
      </span>
      <ul className="grid gap-1.5">
        {row.reasons.map((reason) => (
          <li key={reason.kind} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
            <span className={reason.kind === "PAIN" ? "font-semibold" : undefined}>{reason.why}</span>
            <Next reason={reason} studentId={row.studentId} />
          </li>
        ))}
      </ul>
    </li>
  );
}

/** Where the next action is done. */
function Next({ reason, studentId }: { reason: AttentionReason; studentId: string }) {
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const hears =
    reason.milestoneId &&
    !reason.triedInVain &&
    ["UNHEARD", "BELT_STALLED", "PACE_FALLEN"].includes(reason.kind);
  const params = new URLSearchParams(kept);
  if (hears) params.set("called", studentId);
  const path =
    reason.kind === "VARIANT_OVERDUE"
      ? "/roster/fit"
      : hears
        ? `/hear/${reason.milestoneId}`
        : `/roster/students/${studentId}`;
  return (
    <Link className={looks.smallButton} to={{ pathname: path, search: params.toString() }}>
      {reason.next}
    </Link>
  );
}
