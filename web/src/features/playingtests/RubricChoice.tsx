import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { RubricDraft } from "../../api/types";
import { SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { rubricsQuery } from "./tests.queries";

interface Props {
  rubric: RubricDraft;
  onChoose: (rubric: RubricDraft) => void;
}

/** Where the criteria come from: a rubric that ships, or one of one's own; the test keeps a copy. */
export function RubricChoice({ rubric, onChoose }: Props) {
  const rubrics = useQuery(rubricsQuery);
  const client = useQueryClient();
  const toast = useToast();
  const keep = useMutation({
    mutationFn: () => post<{ rubricId: string }>(at("/api/rubrics"), rubric),
    onSuccess: async () => {
      toast(`"${rubric.name}" is among your rubrics`);
      await client.invalidateQueries({ queryKey: ["library", "rubrics"] });
    },
  });
  const all = [...(rubrics.data?.own.map((one) => one.rubric) ?? []), ...(rubrics.data?.shipped ?? [])];
  const chosen = all.findIndex((one) => JSON.stringify(one) === JSON.stringify(rubric));
  return (
    <div>
      <div className="flex flex-wrap items-end gap-3">
        <div className="grow">
          <SelectField
            label="Begin with"
            small
            value={chosen}
            onChange={(event) => {
              const one = all[Number(event.target.value)];
              if (one) onChoose(one);
            }}
          >
            <option value={-1}>this test's own</option>
            {all.map((one, i) => (
              <option key={i} value={i}>
                {one.name}
                {i < (rubrics.data?.own.length ?? 0) ? ", yours" : ""}
              </option>
            ))}
          </SelectField>
        </div>
        <Button small onClick={() => keep.mutate()} disabled={keep.isPending || chosen >= 0}>
          Keep among my rubrics
        </Button>
      </div>
      {keep.isError && (
        <p role="alert" className="text-error small mt-1 font-semibold">
          {keep.error.message}
        </p>
      )}
    </div>
  );
}
