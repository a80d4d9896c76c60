import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post, Problem, put } from "../../api/http";
import type { SeatRequest, StudentRequest } from "../../api/types";
import { classesQuery, instrumentsQuery, meQuery } from "../../app/queries";
import { Field, SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

/** Where somebody sits from a day on; shared by who is new and who joins one more class or moves. */
export function useSeatDraft() {
  const classes = useQuery(classesQuery);
  const instruments = useQuery(instrumentsQuery);
  const me = useQuery(meQuery);
  const [draft, setDraft] = useState<Partial<SeatRequest>>({});
  const classId = draft.classId ?? classes.data?.[0]?.id ?? "";
  const seat: SeatRequest = {
    classId,
    instrument: draft.instrument ?? "",
    division: draft.division ?? "",
    startsOn: draft.startsOn ?? me.data?.today ?? "",
  };
  const change = (part: Partial<SeatRequest>) => setDraft((old) => ({ ...old, ...part }));
  const fields = (told: (field: string) => string | undefined) => (
    <>
      <SelectField
        label="Class"
        value={seat.classId}
        error={told("classId")}
        onChange={(e) => change({ classId: e.target.value })}
      >
        {classes.data?.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="Instrument"
        value={seat.instrument}
        error={told("instrument")}
        onChange={(e) => change({ instrument: e.target.value })}
      >
        <option value="">choose</option>
        {instruments.data?.map((one) => (
          <option key={one.code} value={one.code}>
            {one.name}
          </option>
        ))}
      </SelectField>
      <Field label="Division" value={seat.division} onChange={(e) => change({ division: e.target.value })} />
      <Field
        label="From"
        type="date"
        value={seat.startsOn}
        error={told("startsOn")}
        onChange={(e) => change({ startsOn: e.target.value })}
      />
    </>
  );
  return { seat, fields };
}

export const sendSeat = (studentId: string, seat: SeatRequest) =>
  post<void>(at("/api/students/{studentId}/seats", { studentId }), seat);

/** Somebody who is new: name, and where they sit. */
export function StudentForm({ onDone }: { onDone: () => void }) {
  const client = useQueryClient();
  const toast = useToast();
  const [id] = useState(() => newId());
  const [name, setName] = useState("");
  const [grade, setGrade] = useState("");
  const { seat, fields } = useSeatDraft();
  const add = useMutation({
    mutationFn: async () => {
      if (!seat.instrument) throw new Problem(422, "Choose an instrument.", "instrument");
      await put<void>(at("/api/students/{studentId}", { studentId: id }), {
        name,
        grade: grade || undefined,
      } satisfies StudentRequest);
      await sendSeat(id, seat);
    },
    onSuccess: async () => {
      toast(`${name} is on the roster`);
      await client.invalidateQueries();
      onDone();
    },
  });
  const refused = add.error instanceof Problem ? add.error : undefined;
  const told = (field: string) => (refused?.field === field ? refused.message : undefined);
  return (
    <form
      noValidate
      aria-label="Add a student"
      className="hairline mb-4 grid items-start gap-3 rounded-xl border-[1.5px] p-4 sm:grid-cols-3 xl:grid-cols-6"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <Field
        label="Name"
        autoFocus
        value={name}
        error={told("name")}
        hint="as said: Ida Newell"
        onChange={(e) => setName(e.target.value)}
      />
      <Field label="Grade" value={grade} onChange={(e) => setGrade(e.target.value)} />
      {fields(told)}
      {add.isError && !["name", "classId", "instrument", "startsOn"].includes(refused?.field ?? "") && (
        <p role="alert" className="text-error col-span-full">
          {add.error.message}
        </p>
      )}
      <div className="col-span-full flex gap-2">
        <Button look="primary" type="submit" disabled={add.isPending}>
          Add to the roster
        </Button>
        <Button look="quiet" onClick={onDone}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
