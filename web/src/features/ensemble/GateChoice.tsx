import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { put } from "../../api/http";
import type { Gate } from "../../api/types";
import { libraryQuery } from "../../app/queries";
import { Field, SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { fillings } from "../belts/ladderForm";
import { MilestoneOptions } from "../belts/MilestoneOptions";

const kinds: Record<Gate["kind"], string> = {
  LAST_BELT: "the last belt of the ladder",
  BELT_OF_RANK: "a belt, counted from the lowest",
  OWN_LIST: "a list of my own",
};

/** What admits to the ensemble. */
export function GateChoice({ ensembleId, gate }: { ensembleId: string; gate: Gate }) {
  const [draft, setDraft] = useState(gate);
  const library = useQuery(libraryQuery);
  const client = useQueryClient();
  const toast = useToast();
  const save = useMutation({
    mutationFn: () => put<void>(at("/api/ensembles/{ensembleId}/gate", { ensembleId }), draft),
    onSuccess: async () => {
      toast("The gate is kept");
      await client.invalidateQueries({ queryKey: ["progress", "candidates", ensembleId] });
    },
  });
  const changed = JSON.stringify(draft) !== JSON.stringify(gate);
  const titles = new Map(library.data?.milestones.map((one) => [one.id, one.title]));
  return (
    <form
      aria-label="What admits"
      className="mb-5 flex flex-wrap items-end gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <div className="w-72">
        <SelectField
          label="What admits"
          small
          value={draft.kind}
          onChange={(event) => {
            const kind = event.target.value as Gate["kind"];
            setDraft({ ...draft, kind, rank: kind === "BELT_OF_RANK" ? Math.max(1, draft.rank) : 0 });
          }}
        >
          {Object.entries(kinds).map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </SelectField>
      </div>
      {draft.kind === "BELT_OF_RANK" && (
        <div className="w-24">
          <Field
            label="Which"
            small
            type="number"
            min={1}
            max={12}
            value={draft.rank}
            onChange={(event) =>
              setDraft({ ...draft, rank: Math.max(1, Math.trunc(event.target.valueAsNumber) || 1) })
            }
          />
        </div>
      )}
      {draft.kind === "OWN_LIST" && (
        <div className="grow">
          <SelectField
            label="Add to the list"
            small
            value=""
            onChange={(event) =>
              event.target.value &&
              setDraft({ ...draft, milestoneIds: [...new Set([...draft.milestoneIds, event.target.value])] })
            }
          >
            <option value="">choose</option>
            {library.data && <MilestoneOptions groups={fillings(library.data)} />}
          </SelectField>
          <ul className="mt-1.5 flex flex-wrap gap-1.5">
            {draft.milestoneIds.map((id) => (
              <li key={id}>
                <Button
                  small
                  aria-label={`Take ${titles.get(id) ?? "this"} off the list`}
                  onClick={() =>
                    setDraft({ ...draft, milestoneIds: draft.milestoneIds.filter((one) => one !== id) })
                  }
                >
                  {titles.get(id) ?? "no longer there"} ×
                </Button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {changed && (
        <Button small look="primary" type="submit" disabled={save.isPending}>
          Keep this gate
        </Button>
      )}
      {save.isError && (
        <p role="alert" className="text-error w-full font-semibold">
          {save.error.message}
        </p>
      )}
    </form>
  );
}
