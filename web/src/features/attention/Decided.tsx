import { useQuery } from "@tanstack/react-query";
import type { DecisionOutcome } from "../../api/types";
import { shortDay } from "../../app/days";
import { Failed } from "../../ui/parts";
import { decisionsQuery } from "./attention.queries";
import { decidedWords, turnedWords } from "./decidedWords";

/** What was decided about sections, what was advised, and how it turned out. */
export function Decided({ classId }: { classId: string }) {
  const decisions = useQuery(decisionsQuery(classId));
  if (decisions.isError) return <Failed error={decisions.error} again={() => void decisions.refetch()} />;
  if (!decisions.data || decisions.data.length === 0) return null;
  return (
    <section aria-labelledby="decided" className="mt-7">
      <h2 id="decided" className="mb-1.5 text-[1.25rem]">
        Decided, and how it turned out
      </h2>
      <ul>
        {decisions.data.map((one) => (
          <Row key={one.id} one={one} />
        ))}
      </ul>
    </section>
  );
}

function Row({ one }: { one: DecisionOutcome }) {
  const percent = (passed: number) => (one.asked === 0 ? 0 : (100 * passed) / one.asked);
  return (
    <li className="grid items-center gap-x-6 gap-y-1 border-b border-[var(--hairline)] py-2 md:grid-cols-[4.5rem_minmax(0,11fr)_9rem_minmax(0,9fr)]">
      <span className="soft small">{shortDay(one.decidedOn)}</span>
      <span>
        {one.section ?? "The class"}, {one.milestone}: <b>{decidedWords[one.decided]}</b>
        {one.overruled && (
          <span className="small soft block">against the advice to {decidedWords[one.advised]}</span>
        )}
      </span>
      <svg
        viewBox="0 0 100 12"
        className="h-3 w-36"
        role="img"
        aria-label={`${one.passedThen} of ${one.asked} had passed, ${one.passedSince} have`}
      >
        <rect x="0" y="5" width="100" height="2" fill="var(--hairline)" />
        <rect x="0" y="4" width={percent(one.passedSince)} height="4" fill="currentColor" opacity=".45" />
        <rect x="0" y="3" width={percent(one.passedThen)} height="6" fill="currentColor" />
      </svg>
      <span>
        {one.passedThen} of {one.asked} then, {one.passedSince} since: {turnedWords[one.turned]}
        {one.stillBehind.length > 0 && one.stillBehind.length <= 6 && (
          <span className="small soft block">still behind: {one.stillBehind.join(", ")}</span>
        )}
      </span>
    </li>
  );
}
