import { queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { get, remove } from "../../api/http";
import type { ClassView } from "../../api/types";
import { shortDay } from "../../app/days";
import { classesQuery } from "../../app/queries";
import { Button, Empty, Failed, Skeleton } from "../../ui/parts";
import { programmeQuery } from "../start/start.queries";
import { ClassForm } from "./ClassForm";
import { newClass } from "./classForm";
import { ClassRow } from "./ClassRow";
import { useYearNow } from "./years.queries";

const endedQuery = queryOptions({
  queryKey: ["roster", "classes", "ended"],
  queryFn: () => get<ClassView[]>(at("/api/classes/ended")),
});

/** The classes of the programme: whom they hold, when they meet, and how they end. */
export function ClassesPart() {
  const classes = useQuery(classesQuery);
  const year = useYearNow();
  const programme = useQuery(programmeQuery);
  const [adding, setAdding] = useState(false);
  if (classes.isError) return <Failed error={classes.error} again={() => void classes.refetch()} />;
  if (!classes.data || year.isPending) return <Skeleton rows={6} />;
  const bells = year.data?.bells ?? [];
  const letters = year.data?.rotation ?? [];
  const campuses = [
    ...new Set(
      [
        ...(programme.data?.campuses ?? []),
        ...classes.data.map((c) => c.campus),
        ...bells.map((bell) => bell.campus),
      ].filter(Boolean),
    ),
  ];
  const typing = adding || classes.data.length === 0;
  return (
    <div className="grid gap-4">
      <datalist id="campuses">
        {campuses.map((campus) => (
          <option key={campus} value={campus} />
        ))}
      </datalist>
      {classes.data.length === 0 && (
        <Empty>No class yet. Add the first: its name, whom it holds and when it meets.</Empty>
      )}
      <ul aria-label="Classes">
        {classes.data.map((one) => (
          <ClassRow
            key={one.id}
            one={one}
            others={classes.data.filter((other) => other.id !== one.id)}
            letters={letters}
            bells={bells}
          />
        ))}
      </ul>
      {typing ? (
        <section aria-labelledby="add-class">
          <h2 id="add-class" className="mb-2 text-[1.3rem]">
            Add a class
          </h2>
          <ClassForm
            key={classes.data.length}
            begun={newClass(bells)}
            isNew
            letters={letters}
            bells={bells}
            onKept={() => setAdding(true)}
            onLeave={classes.data.length > 0 ? () => setAdding(false) : undefined}
          />
        </section>
      ) : (
        <Button className="justify-self-start" onClick={() => setAdding(true)}>
          Add a class
        </Button>
      )}
      <Ended />
    </div>
  );
}

function Ended() {
  const client = useQueryClient();
  const ended = useQuery(endedQuery);
  const goOn = useMutation({
    mutationFn: (classId: string) => remove(at("/api/classes/{classId}/end", { classId })),
    onSuccess: () => client.invalidateQueries(),
  });
  if (!ended.data?.length) return null;
  return (
    <section aria-label="Classes that have ended">
      <h2 className="text-[1.1rem]">Ended</h2>
      {goOn.isError && <Failed error={goOn.error} />}
      <ul>
        {ended.data.map((one) => (
          <li key={one.id} className="flex items-center gap-4 border-b border-[var(--hairline)] py-1.5">
            <span className="soft grow">
              {one.name}, until {one.lastDay && shortDay(one.lastDay)}
            </span>
            <Button small onClick={() => goOn.mutate(one.id)}>
              Let {one.name} go on
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
