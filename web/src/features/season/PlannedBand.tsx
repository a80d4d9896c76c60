import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import type { PlanItem, SeasonPlan } from "../../api/types";
import { shortDay, weekday } from "../../app/days";
import { classesQuery, instrumentsQuery, libraryQuery } from "../../app/queries";
import { scopeName, scopeSearch, useScope } from "../../app/scope";
import { Band, Button, Kbd } from "../../ui/parts";
import { looks } from "../../ui/looks";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { isMovable } from "./plan";
import { PlannedForm } from "./PlannedForm";
import { whyQuery } from "./plan.queries";
import { ordersQuery } from "./season.queries";

interface Props {
  plan: SeasonPlan;
  classId: string;
  items: readonly PlanItem[];
  director: boolean;
  onPin: (pinned: boolean) => void;
  onTakeOut: () => void;
  onMove: () => void;
  onGone: () => void;
}

/** What is chosen on the score: what it takes, why it stands there, and what can be done with it. */
export function PlannedBand(props: Props) {
  const [only] = props.items;
  if (!only) return null;
  return props.items.length > 1 ? <Several {...props} /> : <One key={only.id} {...props} item={only} />;
}

function Several({ items, onMove, onPin, onTakeOut }: Props) {
  const minutes = items.reduce((sum, item) => sum + item.minutes, 0);
  const movable = items.every(isMovable);
  return (
    <Band label="What is chosen">
      <p className="grow">
        <b>{counted(items.length, "thing")} chosen</b>, {counted(minutes, "minute")} together.
        {!movable && " Something ordered is among them, and it stays."}
      </p>
      {movable && (
        <>
          <Button look="primary" onClick={onMove}>
            Move <Kbd>←</Kbd> <Kbd>→</Kbd>
          </Button>
          <Button onClick={() => onPin(true)}>Pin</Button>
          <Button onClick={onTakeOut}>Out of the weeks</Button>
        </>
      )}
    </Band>
  );
}

/** For whom it is set, and what makes the pass. */
function Ordered({ item, classId }: { item: PlanItem; classId: string }) {
  const library = useQuery(libraryQuery);
  const orders = useQuery(ordersQuery(classId));
  const classes = useQuery(classesQuery);
  const instruments = useQuery(instrumentsQuery);
  const milestone = library.data?.milestones.find((m) => m.id === item.milestoneId);
  const own = orders.data?.filter((order) => item.orderIds.includes(order.id)) ?? [];
  if (!milestone || own.length === 0) return null;
  const names = (instruments.data ?? []).map((i) => ({ instrument: i.code, plural: i.plural.toLowerCase() }));
  const who = own
    .flatMap((order) => order.scopes)
    .map(
      (scope) =>
        scopeName(scope, names, classes.data?.find((c) => c.id === scope.classId)?.name ?? "") +
        (scope.classId ? "" : " in every class"),
    );
  return (
    <p className="soft">
      For {[...new Set(who)].join(", ")}. Passes by {milestone.passRule}
      {own.some((order) => order.substituteAccepted) && "; a substitute piece is accepted"}
      {own.some((order) => order.partnerCheckPasses) && "; a partner check passes"}.
    </p>
  );
}

function One({
  plan,
  classId,
  item,
  director,
  onPin,
  onTakeOut,
  onMove,
  onGone,
}: Props & { item: PlanItem }) {
  const { search } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const [editing, setEditing] = useState(false);
  const why = useQuery({
    ...whyQuery(classId, item.id, plan.revision),
    enabled: item.chosen && item.hold !== "ORDERED",
  });
  const again = () => client.invalidateQueries({ queryKey: ["progress"] });
  const withdraw = useMutation({
    mutationFn: () =>
      Promise.all(item.orderIds.map((orderId) => remove(at("/api/season/orders/{orderId}", { orderId })))),
    onSuccess: async () => {
      toast(`${item.title} withdrawn; what was heard is kept`);
      onGone();
      await again();
    },
  });
  const drop = useMutation({
    mutationFn: () => post(at("/api/season/plan/removals"), { itemIds: [item.id] }),
    onSuccess: async () => {
      toast(`${item.title} is no longer in the plan`);
      onGone();
      await again();
    },
  });
  const failed = withdraw.error ?? drop.error;
  const passed = item.milestoneId && item.kind !== "BELT";
  return (
    <Band label="What is chosen">
      <div className="min-w-[18rem] grow basis-0">
        <p>
          <b>
            {item.kind === "LINE" && `Line ${item.shortName}, `}
            {item.title}
          </b>{" "}
          · {counted(item.minutes, "minute")}
          {item.essential && " · essential"}
          {item.hold === "ORDERED" && item.dueOn && ` · ordered, due ${weekday(item.dueOn)}`}
          {item.hold === "PINNED" && " · pinned by you"}
          {item.dueBy && ` · by ${shortDay(item.dueBy)}`}
          {item.notBefore && ` · not before ${shortDay(item.notBefore)}`}
        </p>
        {item.hold === "ORDERED" && <Ordered item={item} classId={classId} />}
        {item.broken && <p className="font-semibold text-[var(--brass)]">{item.broken}</p>}
        {!item.broken && why.data && <p className="soft">{why.data.sentences.join(" ")}</p>}
        {failed && (
          <p role="alert" className="text-error">
            {failed.message}
          </p>
        )}
      </div>
      {director && isMovable(item) && (
        <>
          <Button look="primary" onClick={onMove}>
            Move <Kbd>←</Kbd> <Kbd>→</Kbd>
          </Button>
          {item.monday && (
            <Button onClick={() => onPin(item.hold !== "PINNED")}>
              {item.hold === "PINNED" ? "Let go" : "Pin"}
            </Button>
          )}
          <Button onClick={() => setEditing(true)}>Change</Button>
          {item.monday ? (
            <Button onClick={onTakeOut}>Out of the weeks</Button>
          ) : (
            <Button disabled={drop.isPending} onClick={() => drop.mutate()}>
              Drop
            </Button>
          )}
        </>
      )}
      {item.hold === "ORDERED" && passed && (
        <Link
          className={`${looks.primary} h-10`}
          to={{ pathname: `/hear/${item.milestoneId}`, search: scopeSearch(search, {}) }}
        >
          Hear it
        </Link>
      )}
      {item.hold === "ORDERED" && director && (
        <Button disabled={withdraw.isPending} onClick={() => withdraw.mutate()}>
          Withdraw
        </Button>
      )}
      {editing && <PlannedForm item={item} classId={classId} onClose={() => setEditing(false)} />}
    </Band>
  );
}
