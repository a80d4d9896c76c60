import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { remove } from "../../api/http";
import type { Milestone, Order } from "../../api/types";
import { weekday } from "../../app/days";
import { classesQuery, instrumentsQuery, libraryQuery, railQuery, yearQuery } from "../../app/queries";
import { chosenWeek, weekIndex } from "../../app/ribbon";
import { scopeName, scopeSearch, useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { Band, Button, Empty, Failed, Heading, Kbd, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { milestoneName } from "../hear/HearPage";
import { OrderPanel } from "./OrderPanel";
import { weeksAround } from "./score";
import { SeasonScore } from "./SeasonScore";
import { ordersQuery } from "./season.queries";
import { looks } from "../../ui/looks";

const WEEKS_SHOWN = 8;

/** The year as a score: sections down the side, weeks across, orders where they fall due. */
export function SeasonPage({ director }: { director: boolean }) {
  const { scope, allClasses, week, search } = useScope();
  const year = useQuery(yearQuery);
  const classes = useQuery(classesQuery);
  const library = useQuery(libraryQuery);
  const rail = useQuery({ ...railQuery(scope.classId), enabled: Boolean(scope.classId) });
  const orders = useQuery({ ...ordersQuery(scope.classId), enabled: Boolean(scope.classId) });
  const [ordering, setOrdering] = useState(false);
  const [chosen, setChosen] = useState<string>();
  useKeys({ o: director ? () => setOrdering(true) : undefined, Escape: () => setChosen(undefined) });
  const current = classes.data?.find((c) => c.id === scope.classId);
  const failed = [year, library, rail, orders].find((q) => q.isError);
  const ready = year.data && library.data && rail.data && orders.data && scope.classId;
  const milestones = new Map(library.data?.milestones.map((m) => [m.id, m]));
  const order = orders.data?.find((o) => o.id === chosen);
  const milestone = order && milestones.get(order.milestoneId);
  return (
    <>
      <Heading
        title={`Season${current ? `, ${current.name}` : ""}`}
        words="Orders stand in the week they are due. Choose one to hear or withdraw it."
      >
        {scope.classId && (
          <Link
            className={`${looks.button} h-10 font-semibold`}
            to={{ pathname: "/season/sheet", search: scopeSearch(search, {}) }}
          >
            Order sheet
          </Link>
        )}
        {director && (
          <Link
            className={`${looks.button} h-10 font-semibold`}
            to={{ pathname: "/season/first-weeks", search: scopeSearch(search, {}) }}
          >
            First weeks
          </Link>
        )}
        {director && (
          <Button look="primary" onClick={() => setOrdering(true)}>
            Order <Kbd>O</Kbd>
          </Button>
        )}
      </Heading>
      {allClasses && (
        <Empty>
          Choose a class at the left to see its season. An order for one instrument in every class can be made
          from here.
        </Empty>
      )}
      {failed?.error && <Failed error={failed.error} again={() => void failed.refetch()} />}
      {!allClasses && !failed && !ready && <Skeleton rows={10} />}
      {ready && rail.data.sections.length === 0 && (
        <Empty>Nobody sits in this class yet. Import a roster in Office.</Empty>
      )}
      {ready && rail.data.sections.length > 0 && (
        <>
          <SeasonScore
            year={year.data}
            weeks={weeksAround(
              year.data.weeks,
              weekIndex(year.data, chosenWeek(year.data, week).monday),
              WEEKS_SHOWN,
            )}
            sections={rail.data.sections}
            orders={orders.data}
            milestones={milestones}
            classId={scope.classId!}
            chosen={chosen}
            onChoose={setChosen}
          />
          {order && milestone && (
            <ChosenOrder
              order={order}
              milestone={milestone}
              director={director}
              onGone={() => setChosen(undefined)}
            />
          )}
        </>
      )}
      {ordering && year.data && library.data && (
        <OrderPanel
          library={library.data}
          sections={rail.data?.sections ?? []}
          classId={scope.classId}
          className={current?.name ?? ""}
          from={week && week > year.data.today ? week : year.data.today}
          onClose={() => setOrdering(false)}
        />
      )}
    </>
  );
}

function ChosenOrder({
  order,
  milestone,
  director,
  onGone,
}: {
  order: Order;
  milestone: Milestone;
  director: boolean;
  onGone: () => void;
}) {
  const client = useQueryClient();
  const toast = useToast();
  const { search } = useScope();
  const classes = useQuery(classesQuery);
  const instruments = useQuery(instrumentsQuery);
  const withdraw = useMutation({
    mutationFn: () => remove(at("/api/season/orders/{orderId}", { orderId: order.id })),
    onSuccess: async () => {
      toast(`${milestoneName(milestone)} withdrawn; what was heard is kept`);
      onGone();
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  const names = (instruments.data ?? []).map((i) => ({ instrument: i.code, plural: i.plural.toLowerCase() }));
  const who = order.scopes
    .map(
      (scope) =>
        scopeName(scope, names, classes.data?.find((c) => c.id === scope.classId)?.name ?? "") +
        (scope.classId ? "" : " in every class"),
    )
    .join(", ");
  return (
    <div className="mt-4">
      <Band label="The order chosen">
        <p className="grow">
          <b>{milestoneName(milestone)}</b> for {who}, set {weekday(order.setOn)}, due {weekday(order.dueOn)}.
          Passes by {milestone.passRule}
          {order.substituteAccepted && "; a substitute piece is accepted"}
          {order.partnerCheckPasses && "; a partner check passes"}.
          {withdraw.isError && (
            <span role="alert" className="text-error block">
              {withdraw.error.message}
            </span>
          )}
        </p>
        {milestone.kind !== "BELT" && (
          <Link
            className={`${looks.primary} h-10`}
            to={{ pathname: `/hear/${milestone.id}`, search: scopeSearch(search, {}) }}
          >
            Hear it
          </Link>
        )}
        {director && (
          <Button disabled={withdraw.isPending} onClick={() => withdraw.mutate()}>
            Withdraw
          </Button>
        )}
      </Band>
    </div>
  );
}
