import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { PlanClass, PlanItem, PlanWeekOrder, SeasonPlan } from "../../api/types";
import { addDays, span } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { Tick } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { planQuery } from "./plan.queries";
import { ofWeek, weekToOrder } from "./weekOrder";

/** What the plan has for one week, ordered in one press, adjusted per section. */
export function WeekOrderPage() {
  const { scope, week, allClasses } = useScope();
  const plan = useQuery(planQuery(scope.classId ? [scope.classId] : []));
  if (allClasses) return <Empty>Choose a class at the left; a week is ordered for one class.</Empty>;
  if (plan.isError) return <Failed error={plan.error} again={() => void plan.refetch()} />;
  const one = plan.data?.classes.find((c) => c.id === scope.classId);
  if (!plan.data || !one) return <Skeleton rows={8} />;
  const monday = weekToOrder(plan.data, week);
  return <Week key={`${one.id} ${monday}`} plan={plan.data} one={one} monday={monday} />;
}

function Week({ plan, one, monday }: { plan: SeasonPlan; one: PlanClass; monday: string }) {
  const { search } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const { open, ordered, aside } = ofWeek(plan, one.id, monday);
  const [out, setOut] = useState<readonly string[]>([]);
  const [without, setWithout] = useState<Readonly<Record<string, readonly string[]>>>({});
  const [substitute, setSubstitute] = useState(false);
  const [ids] = useState(() => new Map<string, string>());
  const idFor = (itemId: string) => {
    if (!ids.has(itemId)) ids.set(itemId, newId());
    return ids.get(itemId)!;
  };
  const wanted = open.filter((item) => !out.includes(item.id));
  const order = useMutation({
    mutationFn: () =>
      post<{ orders: number }>(at("/api/season/plan/order-week"), {
        classId: one.id,
        monday,
        items: wanted.map((item): PlanWeekOrder => ({
          itemId: item.id,
          orderId: idFor(item.id),
          leftOut: [...(without[item.id] ?? [])],
          substituteAccepted: substitute,
          partnerCheckPasses: false,
        })),
      }),
    onSuccess: async ({ orders }) => {
      toast(`${counted(orders, "order")} set for ${one.name}`);
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  return (
    <>
      <Heading
        title={`Order the week, ${one.name}`}
        words={`${span(monday, addDays(monday, 4))} · due at its last meeting`}
      >
        <Link
          className="underline"
          to={{ pathname: "/season/sheet", search: scopeSearch(search, { week: monday }) }}
        >
          Its order sheet
        </Link>
        <Link className="underline" to={{ pathname: "/season", search: scopeSearch(search, {}) }}>
          Back to the season
        </Link>
      </Heading>
      {open.length === 0 && (
        <Empty>
          {ordered.length > 0
            ? `Everything the plan has for this week is ordered: ${ordered.map((i) => i.name).join(", ")}.`
            : "The plan has nothing for this week."}
        </Empty>
      )}
      {open.length > 0 && (
        <>
          <ul className="border-t-[1.5px] border-current">
            {open.map((item) => (
              <Row
                key={item.id}
                item={item}
                one={one}
                wanted={!out.includes(item.id)}
                without={without[item.id] ?? []}
                onWanted={(yes) => setOut(yes ? out.filter((id) => id !== item.id) : [...out, item.id])}
                onWithout={(instruments) => setWithout({ ...without, [item.id]: instruments })}
              />
            ))}
          </ul>
          {aside.length > 0 && (
            <p className="soft mt-3">
              Also in this week, with nothing to order: {aside.map((item) => item.title).join(", ")}.
            </p>
          )}
          {order.isError && <Failed error={order.error} />}
          <div className="bg-base-100 sticky bottom-0 mt-4 flex flex-wrap items-center gap-5 border-t border-[var(--hairline)] py-3">
            <Button
              look="primary"
              disabled={order.isPending || wanted.length === 0}
              onClick={() => order.mutate()}
            >
              Order this week ({wanted.length})
            </Button>
            <Tick
              label="A substitute piece is accepted"
              checked={substitute}
              onChange={(e) => setSubstitute(e.target.checked)}
            />
            <span className="small soft">
              For a section that is left out it stays in the plan, a week later.
            </span>
          </div>
        </>
      )}
    </>
  );
}

function Row({
  item,
  one,
  wanted,
  without,
  onWanted,
  onWithout,
}: {
  item: PlanItem;
  one: PlanClass;
  wanted: boolean;
  without: readonly string[];
  onWanted: (yes: boolean) => void;
  onWithout: (instruments: readonly string[]) => void;
}) {
  const reach = item.reach.find((r) => r.classId === one.id)?.instruments ?? [];
  const sections = one.sections.filter((s) => reach.length === 0 || reach.includes(s.instrument));
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-[var(--hairline)] py-2.5">
      <div className="min-w-64 grow basis-0">
        <Tick
          label={
            <>
              <b>
                {item.kind === "LINE"
                  ? `Line ${item.shortName}, ${item.title}`
                  : item.kind === "BELT"
                    ? `${item.title} belt`
                    : item.title}
              </b>
              <span className="soft"> · {counted(item.minutes, "minute")}</span>
              {item.heardAlone && item.kind !== "BELT" && (
                <span className="soft"> · every student is heard</span>
              )}
            </>
          }
          checked={wanted}
          onChange={(e) => onWanted(e.target.checked)}
        />
      </div>
      <div role="group" aria-label={`Sections for ${item.title}`} className="flex flex-wrap gap-1">
        {sections.map((section) => {
          const on = wanted && !without.includes(section.instrument);
          return (
            <button
              key={section.instrument}
              type="button"
              aria-pressed={on}
              disabled={!wanted}
              className={
                "rounded-full border-[1.5px] px-2.5 py-0.5 text-[0.85rem] " +
                (on ? "border-current" : "border-dashed border-[var(--hairline)] line-through opacity-70")
              }
              onClick={() =>
                onWithout(
                  on
                    ? [...without, section.instrument]
                    : without.filter((code) => code !== section.instrument),
                )
              }
            >
              {section.name}
            </button>
          );
        })}
      </div>
    </li>
  );
}
