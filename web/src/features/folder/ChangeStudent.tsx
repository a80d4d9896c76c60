import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { get, Problem, put } from "../../api/http";
import type { StudentDetails, StudentRequest } from "../../api/types";
import { Field } from "../../ui/Field";
import { Button, Failed } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { sendSeat, useSeatDraft } from "../roster/StudentForm";

/** A student's names, and one more class or another instrument. */
export function ChangeStudent({ studentId }: { studentId: string }) {
  const [open, setOpen] = useState<"names" | "seat">();
  const details = useQuery({
    queryKey: ["roster", "student", studentId],
    queryFn: () => get<StudentDetails>(at("/api/students/{studentId}", { studentId })),
    enabled: open === "names",
  });
  const done = () => setOpen(undefined);
  return (
    <div className="mt-1">
      <div className="-ml-3 flex flex-wrap gap-1">
        <Button
          small
          look="quiet"
          aria-expanded={open === "names"}
          onClick={() => setOpen(open === "names" ? undefined : "names")}
        >
          Change names…
        </Button>
        <Button
          small
          look="quiet"
          aria-expanded={open === "seat"}
          onClick={() => setOpen(open === "seat" ? undefined : "seat")}
        >
          Joins or moves…
        </Button>
      </div>
      {open === "names" && details.isError && <Failed error={details.error} />}
      {open === "names" && details.data && <Names kept={details.data} onDone={done} />}
      {open === "seat" && <JoinOrMove studentId={studentId} onDone={done} />}
    </div>
  );
}

const frame = "hairline mt-2 grid max-w-4xl items-start gap-3 rounded-xl border-[1.5px] p-4 sm:grid-cols-4";

function Names({ kept, onDone }: { kept: StudentDetails; onDone: () => void }) {
  const client = useQueryClient();
  const toast = useToast();
  const [draft, setDraft] = useState<StudentRequest>({
    name: kept.name,
    sortName: kept.sortName,
    grade: kept.grade,
    studentNumber: kept.studentNumber,
  });
  const keep = useMutation({
    mutationFn: () => put<void>(at("/api/students/{studentId}", { studentId: kept.id }), draft),
    onSuccess: async () => {
      toast(`${draft.name} is kept`);
      await client.invalidateQueries();
      onDone();
    },
  });
  const change = (part: Partial<StudentRequest>) => setDraft((old) => ({ ...old, ...part }));
  return (
    <form
      noValidate
      aria-label="Names"
      className={frame}
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <Field label="Name as said" value={draft.name} onChange={(e) => change({ name: e.target.value })} />
      <Field
        label="Name on lists"
        value={draft.sortName ?? ""}
        hint="family name, comma, given name"
        onChange={(e) => change({ sortName: e.target.value })}
      />
      <Field label="Grade" value={draft.grade ?? ""} onChange={(e) => change({ grade: e.target.value })} />
      <Field
        label="Student number"
        value={draft.studentNumber ?? ""}
        onChange={(e) => change({ studentNumber: e.target.value || undefined })}
      />
      {keep.isError && (
        <p role="alert" className="text-error col-span-full">
          {keep.error.message}
        </p>
      )}
      <Button look="primary" type="submit" disabled={keep.isPending}>
        Keep
      </Button>
    </form>
  );
}

function JoinOrMove({ studentId, onDone }: { studentId: string; onDone: () => void }) {
  const client = useQueryClient();
  const toast = useToast();
  const { seat, fields } = useSeatDraft();
  const send = useMutation({
    mutationFn: () => {
      if (!seat.instrument) return Promise.reject(new Problem(422, "Choose an instrument.", "instrument"));
      return sendSeat(studentId, seat);
    },
    onSuccess: async () => {
      toast("Seated; what was passed stays");
      await client.invalidateQueries();
      onDone();
    },
  });
  const refused = send.error instanceof Problem ? send.error : undefined;
  const told = (field: string) => (refused?.field === field ? refused.message : undefined);
  return (
    <form
      noValidate
      aria-label="Joins or moves"
      className={frame}
      onSubmit={(event) => {
        event.preventDefault();
        send.mutate();
      }}
    >
      {fields(told)}
      {send.isError && !["classId", "instrument", "startsOn"].includes(refused?.field ?? "") && (
        <p role="alert" className="text-error col-span-full">
          {send.error.message}
        </p>
      )}
      <Button look="primary" type="submit" disabled={send.isPending}>
        Seat from then on
      </Button>
    </form>
  );
}
