import { at } from "../../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post, Problem } from "../../api/http";
import type { EraseRequest, Erased } from "../../api/types";
import { Field } from "../../ui/Field";
import { Button, Failed } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

/** Takes a person out of the books for good; asked for with the name typed once more. */
export function EraseStudent({ studentId, name }: { studentId: string; name: string }) {
  const client = useQueryClient();
  const toast = useToast();
  const [asking, setAsking] = useState(false);
  const [typed, setTyped] = useState("");
  const erase = useMutation({
    mutationFn: (body: EraseRequest) =>
      post<Erased>(at("/api/students/{studentId}/erase", { studentId }), body),
    onSuccess: async (erased) => {
      setAsking(false);
      setTyped("");
      toast(`${name} was erased and is now ${erased.name}`);
      await client.invalidateQueries();
    },
  });
  if (!asking) {
    return (
      <Button small look="quiet" className="-ml-3" onClick={() => setAsking(true)}>
        Erase this student…
      </Button>
    );
  }
  const atField = erase.error instanceof Problem && erase.error.field === "name";
  return (
    <form
      aria-label="Erase this student"
      className="hairline max-w-3xl rounded-xl border-[1.5px] p-4"
      onSubmit={(event) => {
        event.preventDefault();
        erase.mutate({ name: typed });
      }}
    >
      <p className="mb-3">
        Marks stay as numbers under a made-up name. The name, notes, reports of pain, variants, fits and
        measures go, and <b>do not come back</b>.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label={`Type “${name}” to erase`}
          value={typed}
          autoFocus
          autoComplete="off"
          onChange={(event) => setTyped(event.target.value)}
          error={atField ? erase.error?.message : undefined}
        />
        <Button type="submit" look="primary" disabled={!typed.trim() || erase.isPending}>
          Erase for good
        </Button>
        <Button look="quiet" onClick={() => setAsking(false)}>
          Back
        </Button>
      </div>
      {erase.isError && !atField && <Failed error={erase.error} />}
    </form>
  );
}
