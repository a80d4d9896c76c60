import { at } from "../../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post, Problem } from "../../api/http";
import type { Folder, Leaving } from "../../api/types";
import { useToast } from "../../ui/toasts";
import { Button, Failed } from "../../ui/parts";
import { Field, SelectField } from "../../ui/Field";

interface Props {
  studentId: string;
  name: string;
  seats: Folder["seats"];
}

/** Ends a seat when a student leaves a class; nothing that was passed is touched. */
export function LeaveClass({ studentId, name, seats }: Props) {
  const held = seats.filter((seat) => !seat.endsOn);
  const client = useQueryClient();
  const toast = useToast();
  const [asking, setAsking] = useState(false);
  const [classId, setClassId] = useState("");
  const [lastDay, setLastDay] = useState("");
  const chosen = held.find((seat) => seat.classId === classId) ?? held[0];
  const leave = useMutation({
    mutationFn: (body: Leaving) => post<void>(at("/api/students/{studentId}/leave", { studentId }), body),
    onSuccess: async () => {
      setAsking(false);
      toast(`${name} leaves ${chosen?.className}`);
      await client.invalidateQueries();
    },
  });
  if (!chosen) return null;
  if (!asking) {
    return (
      <Button small look="quiet" className="mt-1 -ml-3" onClick={() => setAsking(true)}>
        Leaves a class…
      </Button>
    );
  }
  const field = leave.error instanceof Problem ? leave.error.field : undefined;
  return (
    <form
      aria-label="Leaves a class"
      className="hairline mt-3 flex max-w-3xl flex-wrap items-end gap-3 rounded-xl border-[1.5px] p-4"
      onSubmit={(event) => {
        event.preventDefault();
        leave.mutate({ classId: chosen.classId, lastDay });
      }}
    >
      <SelectField label="Class" value={chosen.classId} onChange={(event) => setClassId(event.target.value)}>
        {held.map((seat) => (
          <option key={seat.classId} value={seat.classId}>
            {seat.className}
          </option>
        ))}
      </SelectField>
      <Field
        label="Last day"
        type="date"
        required
        value={lastDay}
        onChange={(event) => setLastDay(event.target.value)}
        error={field === "lastDay" ? leave.error?.message : undefined}
      />
      <Button type="submit" look="primary" disabled={!lastDay || leave.isPending}>
        End the seat
      </Button>
      <Button look="quiet" onClick={() => setAsking(false)}>
        Back
      </Button>
      <p className="small soft basis-full">What {name} passed stays in this folder.</p>
      {leave.isError && !field && <Failed error={leave.error} />}
    </form>
  );
}
