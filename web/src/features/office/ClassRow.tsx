import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import type { Bell, ClassView } from "../../api/types";
import { shortDay } from "../../app/days";
import { instrumentsQuery, meQuery } from "../../app/queries";
import { Field, SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { ClassForm } from "./ClassForm";
import { draftOfClass, shapes } from "./classForm";

/** A class with its sections; opened, it is typed over, merged with another, or ended. */
export function ClassRow({
  one,
  others,
  letters,
  bells,
}: {
  one: ClassView;
  others: readonly ClassView[];
  letters: readonly string[];
  bells: readonly Bell[];
}) {
  const [open, setOpen] = useState(false);
  const instruments = useQuery(instrumentsQuery);
  const nameOf = (code: string) => instruments.data?.find((i) => i.code === code)?.name ?? code;
  return (
    <li className="border-b border-[var(--hairline)] py-2.5">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <b className="text-[1.05rem]">{one.name}</b>
        <span className="soft grow">
          {[one.campus, shapes[one.shape].toLowerCase(), one.when].filter(Boolean).join(" · ")}
        </span>
        <span className="small soft">{counted(one.students, "student")}</span>
        <Button small aria-expanded={open} aria-label={`Change ${one.name}`} onClick={() => setOpen(!open)}>
          Change
        </Button>
      </div>
      {one.sections.length > 0 && (
        <p className="small soft mt-1">
          {one.sections
            .map(
              (section) =>
                `${nameOf(section.instrument)}${section.division ? ` ${section.division}` : ""} ${section.students}` +
                (section.wanted === undefined ? "" : ` of ${section.wanted} wanted`),
            )
            .join(" · ")}
        </p>
      )}
      {open && (
        <div className="mt-3 grid gap-5 pb-2">
          <ClassForm
            begun={draftOfClass(one)}
            isNew={false}
            letters={letters}
            bells={bells}
            onKept={() => setOpen(false)}
            onLeave={() => setOpen(false)}
          />
          <Ending one={one} others={others} />
        </div>
      )}
    </li>
  );
}

function Ending({ one, others }: { one: ClassView; others: readonly ClassView[] }) {
  const client = useQueryClient();
  const toast = useToast();
  const me = useQuery(meQuery);
  const [day, setDay] = useState(me.data?.today ?? "");
  const [into, setInto] = useState("");
  const again = () => client.invalidateQueries();
  const end = useMutation({
    mutationFn: () => post<void>(at("/api/classes/{classId}/end", { classId: one.id }), { lastDay: day }),
    onSuccess: async () => {
      toast(`${one.name} ends on ${shortDay(day)}`, () =>
        remove(at("/api/classes/{classId}/end", { classId: one.id })).then(again),
      );
      await again();
    },
  });
  const merge = useMutation({
    mutationFn: () =>
      post<{ students: number }>(at("/api/classes/{classId}/merge", { classId: one.id }), {
        into,
        from: day,
      }),
    onSuccess: async ({ students }) => {
      toast(`${counted(students, "student")} moved to ${others.find((other) => other.id === into)?.name}`);
      await again();
    },
  });
  const wrong = end.error ?? merge.error;
  return (
    <fieldset className="bg-base-200/50 grid gap-3 rounded-xl px-4 py-3">
      <legend className="sr-only">End or merge {one.name}</legend>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label="Day"
          type="date"
          value={day}
          hint="last day when it ends, first day when it joins another"
          onChange={(e) => setDay(e.target.value)}
        />
        <Button small className="mb-6" disabled={end.isPending} onClick={() => end.mutate()}>
          End {one.name}
        </Button>
        <SelectField label="Or join" value={into} onChange={(e) => setInto(e.target.value)}>
          <option value="">another class</option>
          {others.map((other) => (
            <option key={other.id} value={other.id}>
              {other.name}
            </option>
          ))}
        </SelectField>
        <Button small className="mb-1" disabled={!into || merge.isPending} onClick={() => merge.mutate()}>
          Join them
        </Button>
      </div>
      <p className="small soft">What was set, heard and passed stays with each student.</p>
      {wrong && (
        <p role="alert" className="text-error font-semibold">
          {wrong.message}
        </p>
      )}
    </fieldset>
  );
}
