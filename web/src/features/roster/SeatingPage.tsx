import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState, type KeyboardEvent } from "react";
import { at } from "../../api/at";
import { get, put } from "../../api/http";
import type { Chair } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { useScope } from "../../app/scope";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { RosterTabs } from "./RosterTabs";
import { moveTo, sectionsOf } from "./seating";

/** Who sits on which chair of each section; two neighbours share a stand, which partner checks go by. */
export function SeatingPage() {
  const { scope, allClasses } = useScope();
  const classId = scope.classId ?? "";
  const seating = useQuery({
    queryKey: ["roster", "seating", classId],
    queryFn: () => get<Chair[]>(at("/api/classes/{classId}/seating", { classId })),
    enabled: classId !== "",
  });
  return (
    <>
      <Heading
        title="Seating"
        words="drag a name, or move it with the arrow keys; two neighbours share a stand"
      >
        <RosterTabs />
      </Heading>
      {allClasses && <Empty>Choose a class at the left to seat it.</Empty>}
      {seating.isError && <Failed error={seating.error} again={() => void seating.refetch()} />}
      {seating.isLoading && <Skeleton rows={9} />}
      {seating.data?.length === 0 && <Empty>Nobody sits in this class yet.</Empty>}
      <div className="grid items-start gap-x-8 gap-y-5 sm:grid-cols-2 xl:grid-cols-3">
        {sectionsOf(seating.data ?? []).map((chairs) => (
          <Section key={chairs.map((chair) => chair.studentId).join()} classId={classId} chairs={chairs} />
        ))}
      </div>
    </>
  );
}

function Section({ classId, chairs }: { classId: string; chairs: readonly Chair[] }) {
  const client = useQueryClient();
  const toast = useToast();
  const instruments = useQuery(instrumentsQuery);
  const { instrument, division } = chairs[0]!;
  const [order, setOrder] = useState(chairs);
  const [held, setHeld] = useState<number>();
  const keep = useMutation({
    mutationFn: (students: readonly Chair[]) =>
      put<void>(at("/api/classes/{classId}/seating", { classId }), {
        instrument,
        division,
        students: students.map((one) => one.studentId),
      }),
    onError: () => setOrder(chairs),
    onSuccess: () => client.invalidateQueries({ queryKey: ["partners"] }),
  });
  const move = (from: number, to: number) => {
    const next = moveTo(order, from, to);
    if (next === order) return;
    setOrder(next);
    keep.mutate(next);
    toast(`${next[to]!.name}, chair ${to + 1}`);
  };
  const onKey = (event: KeyboardEvent<HTMLButtonElement>, i: number) => {
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    move(i, i + step);
    const list = event.currentTarget.closest("ol");
    requestAnimationFrame(() => list?.querySelectorAll<HTMLButtonElement>("button")[i + step]?.focus());
  };
  const name = instruments.data?.find((one) => one.code === instrument)?.plural ?? instrument;
  return (
    <section aria-label={`${name} ${division}`.trim()}>
      <h2 className="mb-1 text-[1.1rem]">
        {name} {division}
      </h2>
      {keep.isError && <Failed error={keep.error} />}
      <ol>
        {order.map((one, i) => (
          <li
            key={one.studentId}
            draggable
            onDragStart={() => setHeld(i)}
            onDragOver={(event) => event.preventDefault()}
            onDrop={(event) => {
              event.preventDefault();
              if (held !== undefined) move(held, i);
              setHeld(undefined);
            }}
            className={clsx(
              "border-l-[3px] pl-2",
              i % 2 === 0 ? "border-base-content mt-1.5 rounded-tl" : "border-base-content",
            )}
          >
            <button
              type="button"
              className="hover:bg-base-200 w-full cursor-grab rounded px-1 py-0.5 text-left"
              aria-label={`${one.name}, chair ${i + 1}, stand ${Math.floor(i / 2) + 1}; arrow keys move`}
              onKeyDown={(event) => onKey(event, i)}
            >
              <span className="soft small mr-2 tabular-nums">{i + 1}</span>
              {one.name}
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
