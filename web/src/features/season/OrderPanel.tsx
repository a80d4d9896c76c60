import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { v7 as newId } from "uuid";
import { post, remove } from "../../api/http";
import type { LibraryView, NewOrders, Order, SectionView } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { useScope } from "../../app/scope";
import { Field } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { BeforeThis } from "./BeforeThis";
import { carriesOf, carryRows, withTyped, type CarryRow } from "./carries";
import { CarryTable } from "./CarryTable";
import { MilestonePicker } from "./MilestonePicker";
import { ScopeChips } from "./ScopeChips";
import { newOrders, scopeOptions, toggleScope } from "./orderForm";
import { fingerPatternsQuery } from "./plan.queries";
import { dueDayQuery } from "./season.queries";
import { looks } from "../../ui/looks";
import { counted } from "../../ui/words";

interface Props {
  library: LibraryView;
  sections: SectionView[];
  classId?: string;
  className: string;
  from: string;
  onClose: () => void;
}

/** Setting milestones for whole sections: what, for whom, by when. */
export function OrderPanel({ library, sections, classId, className, from, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const client = useQueryClient();
  const toast = useToast();
  const { scope } = useScope();
  const instruments = useQuery(instrumentsQuery);
  const options = scopeOptions(classId, className, sections, instruments.data ?? []);
  const [milestoneIds, setMilestoneIds] = useState<string[]>([]);
  const [scopeKeys, setScopeKeys] = useState<string[]>(() =>
    [
      scope.family ??
        (scope.instrument
          ? classId
            ? [scope.instrument, scope.division].filter(Boolean).join(" ")
            : `across ${scope.instrument}`
          : classId
            ? "tutti"
            : ""),
    ].filter(Boolean),
  );
  const patterns = useQuery(fingerPatternsQuery(classId));
  const [setOn, setSetOn] = useState(from);
  const [dueChosen, setDueChosen] = useState<string>();
  const suggested = useQuery(dueDayQuery(classId, setOn));
  const dueOn = dueChosen ?? suggested.data?.dueOn ?? setOn;
  const [substituteAccepted, setSubstitute] = useState(false);
  const [partnerCheckPasses, setPartner] = useState(false);
  const order = useMutation({
    mutationFn: (body: NewOrders) => post<Order[]>(at("/api/season/orders"), body),
    onSuccess: async (made) => {
      toast(`${counted(made.length, "milestone")} ordered`, () => {
        void Promise.all(made.map((m) => remove(at("/api/season/orders/{orderId}", { orderId: m.id })))).then(
          () => client.invalidateQueries({ queryKey: ["progress"] }),
        );
      });
      onClose();
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  const here = options.filter((option) => option.group !== "across");
  const across = options.filter((option) => option.group === "across");
  const toggle = (key: string) => setScopeKeys((keys) => toggleScope(keys, key));
  const chosen = options.filter((option) => scopeKeys.includes(option.key));
  const checks = library.milestones.filter(
    (m) => milestoneIds.includes(m.id) && m.kind === "TECHNIQUE_CHECK",
  );
  const [typed, setTyped] = useState<ReadonlyMap<string, Partial<CarryRow>>>(new Map());
  const onlyCheck = milestoneIds.length === 1 ? checks[0] : undefined;
  const rows = onlyCheck ? withTyped(carryRows(chosen, sections, onlyCheck.appliesTo), typed) : [];
  const missing =
    milestoneIds.length === 0
      ? "Choose what to order."
      : chosen.length === 0
        ? "Choose for whom."
        : undefined;
  return (
    <dialog
      ref={dialog}
      onClose={onClose}
      aria-labelledby="order-title"
      className="bg-base-100 text-base-content border-base-content fixed inset-y-0 right-0 left-auto m-0 h-dvh max-h-none w-full max-w-[43rem] border-l-[1.5px] p-0 shadow-2xl backdrop:bg-black/35"
    >
      <form
        className="flex h-full flex-col"
        onSubmit={(event) => {
          event.preventDefault();
          if (missing) return;
          const rest = { setOn, dueOn, substituteAccepted, partnerCheckPasses, carries: carriesOf(rows) };
          order.mutate(
            newOrders(
              milestoneIds,
              chosen.map((option) => option.scope),
              rest,
              newId,
            ),
          );
        }}
      >
        <h2 id="order-title" className="px-6 pt-5 pb-3 text-[1.6rem]">
          Order
        </h2>
        <div className="grid grow content-start gap-5 overflow-y-auto px-6 pb-5">
          <MilestonePicker library={library} chosen={milestoneIds} onChange={setMilestoneIds} />
          <fieldset>
            <legend className="mb-1.5 font-semibold">For whom</legend>
            <ScopeChips options={here} chosen={scopeKeys} onToggle={toggle} />
            <details
              className="mt-2.5"
              open={here.length === 0 || scopeKeys.some((key) => key.startsWith("across"))}
            >
              <summary className="soft cursor-pointer">An instrument in every class</summary>
              <div className="mt-2">
                <ScopeChips options={across} chosen={scopeKeys} onToggle={toggle} />
              </div>
            </details>
          </fieldset>
          <BeforeThis checks={checks} scopes={chosen.map((option) => option.scope)} />
          {rows.length > 0 && (
            <CarryTable
              patterns={patterns.data?.map((p) => p.described) ?? []}
              rows={rows}
              lines={library.milestones.filter((m) => m.kind === "LINE")}
              onType={(key, change) =>
                setTyped((all) => new Map(all).set(key, { ...all.get(key), ...change }))
              }
            />
          )}
          <div className="grid grid-cols-2 items-start gap-4">
            <Field
              label="Set on"
              type="date"
              required
              value={setOn}
              onChange={(e) => setSetOn(e.target.value)}
            />
            <Field
              label="Due on"
              type="date"
              required
              value={dueOn}
              onChange={(e) => setDueChosen(e.target.value)}
              hint={dueChosen ? undefined : "the last meeting of that week"}
            />
          </div>
          <div className="grid gap-2">
            <label className="flex items-center gap-2.5">
              <input
                type="checkbox"
                className={looks.checkbox}
                checked={substituteAccepted}
                onChange={(e) => setSubstitute(e.target.checked)}
              />
              A substitute piece is accepted, and shown as one
            </label>
            <label className="flex items-center gap-2.5">
              <input
                type="checkbox"
                className={looks.checkbox}
                checked={partnerCheckPasses}
                onChange={(e) => setPartner(e.target.checked)}
              />
              A partner check makes the pass
            </label>
          </div>
        </div>
        <div className="hairline flex flex-wrap items-center gap-4 border-t-[1.5px] px-6 py-3.5">
          <p className="small grow" role={order.isError ? "alert" : undefined}>
            {order.isError ? (
              <span className="text-error font-semibold">{order.error.message}</span>
            ) : (
              (missing ?? " ")
            )}
          </p>
          <Button look="quiet" onClick={() => dialog.current?.close()}>
            Close
          </Button>
          <Button look="primary" type="submit" disabled={Boolean(missing) || order.isPending}>
            {order.isPending
              ? "Ordering…"
              : milestoneIds.length > 1
                ? `Order ${milestoneIds.length} milestones`
                : "Order"}
          </Button>
        </div>
      </form>
    </dialog>
  );
}
