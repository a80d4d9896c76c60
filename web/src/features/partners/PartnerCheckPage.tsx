import { useQuery } from "@tanstack/react-query";
import { Printer } from "lucide-react";
import { useState } from "react";
import { useParams } from "react-router";
import { v7 as newId } from "uuid";
import type { Partner, PartnerCheck } from "../../api/types";
import { longDay } from "../../app/days";
import { Button, Failed, Heading, Skeleton } from "../../ui/parts";
import { outbox } from "../hear/outbox";
import { Caution } from "./Caution";
import { findingNote, notedCount } from "./partners";
import { partnerCheckQuery } from "./partners.queries";
import { OftenHere } from "./OftenHere";
import { TurnRow } from "./TurnRow";

/** A partner check as it goes on: what is watched, whose turn it is, what partners found. Prints as watch lists. */
export function PartnerCheckPage() {
  const { partnerCheckId = "" } = useParams();
  const check = useQuery(partnerCheckQuery(partnerCheckId));
  if (check.isError) return <Failed error={check.error} again={() => void check.refetch()} />;
  if (!check.data) return <Skeleton rows={9} />;
  return <Going check={check.data} />;
}

function Going({ check }: { check: PartnerCheck }) {
  const [noted, setNoted] = useState<ReadonlyMap<string, readonly string[]>>(new Map());
  const note = (findings: { plays: Partner; watch: readonly Partner[]; notSeen: readonly string[] }[]) => {
    if (findings.length === 0) return;
    setNoted((all) => {
      const next = new Map(all);
      findings.forEach(({ plays, notSeen }) => next.set(plays.studentId, notSeen));
      return next;
    });
    outbox.add({
      id: newId(),
      kind: "attempts",
      label:
        findings.length === 1
          ? `${findings[0]!.plays.name}, partner's finding`
          : `${findings.length} findings`,
      attempts: findings.map(({ plays, watch, notSeen }) => ({
        id: newId(),
        studentId: plays.studentId,
        milestoneId: check.milestoneId,
        milestoneVersion: check.milestoneVersion,
        classId: check.classId,
        outcome: notSeen.length === 0 ? ("PASS" as const) : ("NOT_YET" as const),
        evidence: "PARTNER_CHECK" as const,
        note: findingNote(watch, notSeen),
      })),
    });
  };
  const { done, of } = notedCount(check, new Set(noted.keys()));
  const open = check.groups
    .flatMap((group) => group.turns)
    .filter((turn) => turn.found === undefined && !noted.has(turn.plays.studentId));
  return (
    <>
      <Heading
        title={`Watch list: ${check.milestoneTitle}`}
        words={`${check.className}, ${longDay(check.heldOn)}`}
      >
        <Button onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print watch lists
        </Button>
        {open.length > 0 && (
          <Button look="primary" onClick={() => note(open.map((turn) => ({ ...turn, notSeen: [] })))}>
            All seen for the {open.length} left
          </Button>
        )}
      </Heading>
      <div className="mb-4 grid gap-x-10 gap-y-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <ol aria-label="What to watch" className="grid gap-1.5 sm:grid-cols-2">
          {check.watch.map((point, i) => (
            <li key={point} className="grid grid-cols-[1.6rem_1fr] text-[1.15rem]">
              <b className="display">{i + 1}</b> {point}
            </li>
          ))}
        </ol>
        <div className="grid content-start gap-2">
          {check.measures.length > 0 && (
            <p>
              {check.measures
                .map(
                  (m) =>
                    `${m.instrumentName}${m.division ? ` ${m.division}` : ""}: measures ${m.first} to ${m.last}`,
                )
                .join(" · ")}
            </p>
          )}
          <OftenHere classId={check.classId} />
          <Caution />
          <p className="small soft no-print" aria-live="polite">
            {done} of {of} noted. A partner's finding is kept as such;{" "}
            {check.passes ? "this order lets it make the pass." : "it makes no pass unless an order says so."}
          </p>
        </div>
      </div>
      <ol className="grid items-start gap-3 xl:grid-cols-2 print:grid-cols-2">
        {check.groups.map((group, i) => (
          <li key={i} className="hairline break-inside-avoid rounded-xl border-[1.5px] px-3 py-2">
            {group.turns.map((turn) => (
              <TurnRow
                key={turn.plays.studentId}
                turn={turn}
                watch={check.watch}
                noted={noted.get(turn.plays.studentId)}
                onNote={(notSeen) => note([{ plays: turn.plays, watch: turn.watch, notSeen }])}
              />
            ))}
          </li>
        ))}
      </ol>
    </>
  );
}
