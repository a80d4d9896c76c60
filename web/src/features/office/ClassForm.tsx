import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { Problem, put } from "../../api/http";
import type { Bell, ClassRequest } from "../../api/types";
import { Field, SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { requestOfClass, shapes, timePlaceOf, type ClassDraft } from "./classForm";
import { MeetingTimes } from "./MeetingTimes";
import { WantedRows } from "./WantedRows";

/** A class as it is typed: new, or one there is. */
export function ClassForm({
  begun,
  isNew,
  letters,
  bells,
  onKept,
  onLeave,
}: {
  begun: ClassDraft;
  isNew: boolean;
  letters: readonly string[];
  bells: readonly Bell[];
  onKept: () => void;
  onLeave?: () => void;
}) {
  const client = useQueryClient();
  const toast = useToast();
  const [draft, setDraft] = useState(begun);
  const change = (part: Partial<ClassDraft>) => setDraft((old) => ({ ...old, ...part }));
  const keep = useMutation({
    mutationFn: () => put<void>(at("/api/classes/{classId}", { classId: draft.id }), requestOfClass(draft)),
    onSuccess: async () => {
      toast(isNew ? `${draft.name} added` : `${draft.name} is kept`);
      await client.invalidateQueries();
      onKept();
    },
  });
  const refused = keep.error instanceof Problem ? keep.error : undefined;
  const time = timePlaceOf(refused?.field);
  const told = (field: string) => (refused?.field === field ? refused.message : undefined);
  return (
    <form
      noValidate
      className="grid gap-4"
      aria-label={isNew ? "Add a class" : `Class ${begun.name}`}
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <div className="grid items-start gap-3 sm:grid-cols-3">
        <Field
          label="Name"
          value={draft.name}
          error={told("name")}
          onChange={(e) => change({ name: e.target.value })}
        />
        <SelectField
          label="Made up of"
          value={draft.shape}
          onChange={(e) => change({ shape: e.target.value as ClassRequest["shape"] })}
        >
          {Object.entries(shapes).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </SelectField>
        <Field
          label="Campus"
          hint="blank where there is one"
          list="campuses"
          value={draft.campus}
          error={told("campus")}
          onChange={(e) => change({ campus: e.target.value })}
        />
      </div>
      <div className="grid items-start gap-x-8 gap-y-4 xl:grid-cols-2">
        <MeetingTimes
          times={draft.meets}
          letters={letters}
          campus={draft.campus}
          bells={bells}
          faulty={time?.place}
          sentence={refused?.message}
          onChange={(meets) => change({ meets })}
        />
        <WantedRows wanted={draft.wanted} onChange={(wanted) => change({ wanted })} />
      </div>
      {keep.isError && !time && !["name", "campus"].includes(refused?.field ?? "") && (
        <p role="alert" className="text-error">
          {keep.error.message}
        </p>
      )}
      <div className="flex gap-2">
        <Button look="primary" type="submit" disabled={keep.isPending}>
          {isNew ? "Add class" : "Keep the class"}
        </Button>
        {onLeave && (
          <Button look="quiet" onClick={onLeave}>
            Leave it
          </Button>
        )}
      </div>
    </form>
  );
}
