import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import type { PlanOption, PlanProposal, SeasonPlan } from "../../api/types";
import { yearQuery } from "../../app/queries";
import { chosenWeek } from "../../app/ribbon";
import { scopeSearch, useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { Band, Button, Empty, Failed, Heading, Kbd, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { planQuery, proposalsQuery } from "./plan.queries";
import { weeksShown } from "./plan";
import { PlanScore } from "./PlanScore";
import { LongerLook } from "./LongerLook";
import { drawn, firstWeek, headline, minutesAfter } from "./proposal";
import { ProposalChanges } from "./ProposalChanges";

const WEEKS_SHOWN = 6;
const points = new Intl.NumberFormat("en-GB");

const aims: Record<PlanProposal["aim"], string> = {
  BALANCED: "Balanced",
  LEAST_CHANGE: "Least change",
};

/** A proposal against today's plan: what moves, comes in and falls out, and why; taken whole or one by one. */
export function ProposalPage() {
  const { scope, search, allClasses } = useScope();
  const classId = scope.classId;
  const plan = useQuery(planQuery(classId ? [classId] : []));
  const proposals = useQuery(proposalsQuery(classId));
  const [aim, setAim] = useState<PlanProposal["aim"]>();
  const back = { pathname: "/season", search: scopeSearch(search, {}) };
  if (allClasses) return <Empty>Choose a class at the left to see what is proposed for it.</Empty>;
  const failed = [plan, proposals].find((q) => q.isError);
  if (failed?.error) return <Failed error={failed.error} again={() => void failed.refetch()} />;
  if (!plan.data || !proposals.data || !classId) return <Skeleton rows={10} />;
  const proposal = proposals.data.find((p) => p.aim === aim) ?? proposals.data[0];
  if (!proposal) {
    return (
      <Empty>
        Nothing waits to be taken.{" "}
        <Link className="underline" to={back}>
          Back to the season
        </Link>
      </Empty>
    );
  }
  return (
    <Shown
      key={proposal.id}
      plan={plan.data}
      classId={classId}
      proposal={proposal}
      others={proposals.data}
      onAim={setAim}
    />
  );
}

function Shown({
  plan,
  classId,
  proposal,
  others,
  onAim,
}: {
  plan: SeasonPlan;
  classId: string;
  proposal: PlanProposal;
  others: PlanProposal[];
  onAim: (aim: PlanProposal["aim"]) => void;
}) {
  const client = useQueryClient();
  const toast = useToast();
  const navigate = useNavigate();
  const { search, week, choose } = useScope();
  const year = useQuery(yearQuery);
  const again = () => client.invalidateQueries({ queryKey: ["progress"] });
  const leave = () => void navigate({ pathname: "/season", search: scopeSearch(search, {}) });
  const take = useMutation({
    mutationFn: ({ itemIds, evenIfBroken = false }: { itemIds: string[]; evenIfBroken?: boolean }) =>
      post(at("/api/season/plan/proposals/{proposalId}/take", { proposalId: proposal.id }), {
        classId,
        revision: plan.revision,
        itemIds,
        evenIfBroken,
      }),
    onSuccess: async (_, { itemIds }) => {
      toast(itemIds.length === 0 ? "The plan is taken" : `${counted(itemIds.length, "change")} taken`);
      await again();
      if (itemIds.length === 0 || proposal.changes.length <= itemIds.length) leave();
    },
  });
  const keep = useMutation({
    mutationFn: () => remove(at("/api/season/plan/proposals", {}, { classId })),
    onSuccess: async () => {
      toast("Today’s plan is kept");
      await again();
      leave();
    },
  });
  const option = useMutation({
    mutationFn: ({ itemId, way }: { itemId: string; way: PlanOption }) =>
      post<PlanProposal[]>(at("/api/season/plan/options"), {
        classId,
        itemId,
        kind: way.kind,
        otherItemId: way.otherItemId,
        monday: way.monday,
        minutesOf: way.classId,
        minutes: way.minutes,
        instruments: way.instruments,
      }),
    onSuccess: async (made) => {
      client.setQueryData(proposalsQuery(classId).queryKey, made);
      await again();
    },
  });
  const busy = take.isPending || keep.isPending || option.isPending;
  const takeOne = (n: number) => {
    const change = proposal.changes[n];
    if (change && !busy) take.mutate({ itemIds: [change.itemId] });
  };
  useKeys({
    Enter: busy || proposal.changes.length === 0 ? undefined : () => take.mutate({ itemIds: [] }),
    Escape: leave,
    ...Object.fromEntries(Array.from({ length: 9 }, (_, i) => [String(i + 1), () => takeOne(i)])),
  });
  const { items, changed } = drawn(plan, proposal);
  const shown = week ?? firstWeek(plan, proposal);
  const error = take.error ?? keep.error ?? option.error;
  return (
    <>
      <Heading
        title={headline(proposal)}
        words={`against today’s plan${proposal.cause ? ` · ${proposal.cause}` : ""} · ${points.format(proposal.after.total)} points, today ${points.format(proposal.before.total)}`}
      >
        {others.length > 1 && (
          <span className="flex gap-1" role="group" aria-label="Ways of changing">
            {others.map((one) => (
              <Button
                key={one.id}
                aria-pressed={one.id === proposal.id}
                className={clsx(one.id === proposal.id && "border-[2.5px]! font-bold")}
                onClick={() => onAim(one.aim)}
              >
                {aims[one.aim]}: {counted(one.changes.length, "change")}
              </Button>
            ))}
          </span>
        )}
        <Button disabled={busy} onClick={() => keep.mutate()}>
          Keep today’s
        </Button>
        <Button
          look="primary"
          disabled={busy || proposal.changes.length === 0}
          onClick={() => take.mutate({ itemIds: [] })}
        >
          Take all {proposal.changes.length} <Kbd>Enter</Kbd>
        </Button>
      </Heading>
      {error && (
        <div className="mb-3">
          <Band label="Not taken">
            <p role="alert" className="grow font-semibold">
              {error.message}
            </p>
            {take.isError && take.variables && (
              <Button onClick={() => take.mutate({ ...take.variables, evenIfBroken: true })}>
                Take it anyway
              </Button>
            )}
          </Band>
        </div>
      )}
      <div className="grid gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
        <div>
          <PlanScore
            weeks={weeksShown(plan, shown, WEEKS_SHOWN)}
            now={year.data ? chosenWeek(year.data, undefined).monday : ""}
            classes={plan.classes}
            items={items}
            mondays={plan.weeks.map((w) => w.monday)}
            selected={[]}
            changed={changed}
            after={minutesAfter(proposal)}
            onChoose={(id) => {
              document.getElementById(`change-${id}`)?.scrollIntoView({ block: "nearest" });
            }}
          />
          <p className="small soft mt-2">
            Dashed: where it stands today. Violet: where it would stand; the violet stroke in a bar of minutes
            is today’s. <Kbd>1</Kbd> to <Kbd>9</Kbd> take one change, <Kbd>Esc</Kbd> goes back and leaves it
            waiting.
          </p>
          <LongerLook classId={classId} />
          {proposal.problems.length > 0 && (
            <details className="mt-3" open={proposal.problems.length <= 3}>
              <summary className="cursor-pointer font-semibold">
                {counted(proposal.problems.length, "problem")} would be left
              </summary>
              <ul className="mt-1">
                {proposal.problems.map((problem) => (
                  <li key={problem.text}>{problem.text}</li>
                ))}
              </ul>
            </details>
          )}
        </div>
        <ProposalChanges
          proposal={proposal}
          busy={busy}
          onTake={(itemId) => take.mutate({ itemIds: [itemId] })}
          onLook={(monday) => choose({ week: monday })}
          onOption={(itemId, way) => option.mutate({ itemId, way })}
        />
      </div>
    </>
  );
}
