import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import type { PlanClass, SeasonPlan } from "../../api/types";
import { classesQuery, libraryQuery, railQuery, yearQuery } from "../../app/queries";
import { chosenWeek } from "../../app/ribbon";
import { scopeSearch, useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { Button, Empty, Failed, Heading, Kbd, Skeleton } from "../../ui/parts";
import { looks } from "../../ui/looks";
import { counted } from "../../ui/words";
import { LoseDay } from "./LoseDay";
import { OrderPanel } from "./OrderPanel";
import { planQuery } from "./plan.queries";
import { SeasonMenu } from "./SeasonMenu";
import { SeasonPlanner } from "./SeasonPlanner";
import { useProposing } from "./useProposing";

const pacings: Record<PlanClass["pacing"], string> = {
  IN_STEP: "In step",
  MASTERY: "Each section at its own pace",
  IN_STEP_WITH_CARRY_OVER: "In step with carry-over",
};

/** The director's plan of the year: sections down the side, weeks across; proposed, moved, ordered week by week. */
export function SeasonPage({ director }: { director: boolean }) {
  const { scope, allClasses, week, search } = useScope();
  const navigate = useNavigate();
  const year = useQuery(yearQuery);
  const classes = useQuery(classesQuery);
  const library = useQuery(libraryQuery);
  const rail = useQuery({ ...railQuery(scope.classId), enabled: Boolean(scope.classId) });
  const [also, setAlso] = useState<string[]>([]);
  const classIds = scope.classId ? [scope.classId, ...also.filter((id) => id !== scope.classId)] : [];
  const plan = useQuery(planQuery(classIds));
  const [open, setOpen] = useState<"order" | "lose">();
  const { propose, waiting } = useProposing(scope.classId);
  const toProposal = () =>
    void navigate({ pathname: "/season/proposal", search: scopeSearch(search, { week: "" }) });
  const start = () => propose.mutate("", { onSuccess: toProposal });
  const mayPropose = director && plan.data && !propose.isPending;
  useKeys({
    o: director ? () => setOpen("order") : undefined,
    l: director && scope.classId ? () => setOpen("lose") : undefined,
    p: mayPropose ? start : undefined,
  });
  const current = classes.data?.find((c) => c.id === scope.classId);
  const failed = [year, library, rail, plan].find((q) => q.isError);
  const own = plan.data?.classes.find((c) => c.id === scope.classId);
  const ready = year.data && plan.data && own;
  return (
    <>
      <Heading title={`Season${current ? `, ${current.name}` : ""}`}>
        {scope.classId && (
          <>
            {director && <Button onClick={() => setOpen("lose")}>Lose a day</Button>}
            <Link
              className={`${looks.button} h-10 font-semibold`}
              to={{ pathname: "/season/sheet", search: scopeSearch(search, {}) }}
            >
              Order sheet
            </Link>
          </>
        )}
        {director && (
          <Button onClick={() => setOpen("order")}>
            Order <Kbd>O</Kbd>
          </Button>
        )}
        {director && scope.classId && (
          <>
            <SeasonMenu />
            <Button look="primary" disabled={!mayPropose} onClick={start}>
              {propose.isPending ? "Looking…" : "Propose plan"} <Kbd>P</Kbd>
            </Button>
          </>
        )}
      </Heading>
      {propose.isError && <Failed error={propose.error} again={start} />}
      {waiting.length > 0 && (
        <p className="mb-2 flex flex-wrap items-center gap-3">
          <b>A proposal waits{waiting[0]?.cause && `: ${waiting[0].cause}`}.</b>
          <Link
            className="underline"
            to={{ pathname: "/season/proposal", search: scopeSearch(search, { week: "" }) }}
          >
            {counted(waiting[0]?.changes.length ?? 0, "change")}, look at it
          </Link>
        </p>
      )}
      {allClasses && (
        <Empty>
          Choose a class at the left to see its season. An order for one instrument in every class can be made
          from here.
        </Empty>
      )}
      {failed?.error && <Failed error={failed.error} again={() => void failed.refetch()} />}
      {!allClasses && !failed && !ready && <Skeleton rows={10} />}
      {ready && own.sections.length === 0 && (
        <Empty>Nobody sits in this class yet. Import a roster in Office.</Empty>
      )}
      {ready && own.sections.length > 0 && (
        <>
          {director && plan.data.items.every((item) => !item.chosen) && (
            <Empty>
              <b>No plan yet.</b> What stands below was ordered by hand.{" "}
              <Link
                className="underline"
                to={{ pathname: "/season/choose", search: scopeSearch(search, {}) }}
              >
                Choose what this year holds
              </Link>{" "}
              (a book, first checks, tests, belts, concert pieces), then press P: every thing gets its week.
            </Empty>
          )}
          <SeasonPlanner
            key={scope.classId}
            plan={plan.data}
            classId={scope.classId!}
            classIds={classIds}
            director={director}
            shown={chosenWeek(year.data, week).monday}
            now={chosenWeek(year.data, undefined).monday}
          />
          <p className="small soft mt-3">
            {pacings[own.pacing]} · {summary(plan.data)}
          </p>
          <Shared plan={plan.data} onAdd={(id) => setAlso((all) => [...all, id])} />
        </>
      )}
      {open === "order" && year.data && library.data && (
        <OrderPanel
          library={library.data}
          sections={rail.data?.sections ?? []}
          classId={scope.classId}
          className={current?.name ?? ""}
          from={week && week > year.data.today ? week : year.data.today}
          onClose={() => setOpen(undefined)}
        />
      )}
      {open === "lose" && year.data && scope.classId && (
        <LoseDay
          classId={scope.classId}
          from={week && week > year.data.today ? week : year.data.today}
          onClose={() => setOpen(undefined)}
          onProposed={toProposal}
        />
      )}
    </>
  );
}

function summary(plan: SeasonPlan): string {
  const chosen = plan.items.filter((item) => item.chosen).length;
  const out = plan.items.filter((item) => !item.monday).length;
  return chosen === 0
    ? "orders stand in the week they are due"
    : `${chosen} planned${out ? `, ${out} without a week` : ""}`;
}

/** Other classes the same students sit in, to be looked at together. */
function Shared({ plan, onAdd }: { plan: SeasonPlan; onAdd: (classId: string) => void }) {
  if (plan.shared.length === 0) return null;
  return (
    <p className="small soft">
      The same students sit in{" "}
      {plan.shared.map((one, i) => (
        <span key={one.classId}>
          {i > 0 && ", "}
          <button type="button" className="underline" onClick={() => onAdd(one.classId)}>
            {one.name} ({one.students})
          </button>
        </span>
      ))}
      : press to see it below.
    </p>
  );
}
