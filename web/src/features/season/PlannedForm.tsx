import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { Problem, put } from "../../api/http";
import type { PlanItem, PlanItemChange } from "../../api/types";
import { Field, Tick } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { Dialog } from "./Dialog";

/** What something is worth, how long it takes, and its dates. */
export function PlannedForm({
  item,
  classId,
  onClose,
}: {
  item: PlanItem;
  classId: string;
  onClose: () => void;
}) {
  const client = useQueryClient();
  const [change, setChange] = useState<PlanItemChange>({
    classId,
    value: item.value,
    essential: item.essential,
    teachMinutes: item.teachMinutes,
    heardAlone: item.heardAlone,
    notBefore: item.notBefore,
    dueBy: item.dueBy,
    marginWeeks: item.marginWeeks,
  });
  const save = useMutation({
    mutationFn: () => put(at("/api/season/plan/items/{itemId}", { itemId: item.id }), change),
    onSuccess: async () => {
      onClose();
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  const set = (part: Partial<PlanItemChange>) => setChange((now) => ({ ...now, ...part }));
  const error = (field: string) =>
    save.error instanceof Problem && save.error.field === field ? save.error.message : undefined;
  const known = ["value", "teachMinutes", "dueBy", "marginWeeks", "notBefore"];
  return (
    <Dialog
      title={item.kind === "LINE" ? `Line ${item.shortName}, ${item.title}` : item.title}
      onClose={onClose}
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <div className="grid grid-cols-2 gap-4">
          <Field
            label="Teaching minutes"
            type="number"
            min={0}
            max={600}
            hint="together; hearing comes on top"
            value={change.teachMinutes}
            error={error("teachMinutes")}
            onChange={(e) => set({ teachMinutes: Number(e.target.value) })}
          />
          <Field
            label="Value"
            type="number"
            min={0}
            max={100000}
            hint="points lost when it is left out"
            value={change.value}
            error={error("value")}
            onChange={(e) => set({ value: Number(e.target.value) })}
          />
          <Field
            label="Not before"
            type="date"
            value={change.notBefore ?? ""}
            error={error("notBefore")}
            onChange={(e) => set({ notBefore: e.target.value || undefined })}
          />
          <Field
            label="To be done by"
            type="date"
            value={change.dueBy ?? ""}
            error={error("dueBy")}
            onChange={(e) => set({ dueBy: e.target.value || undefined })}
          />
          <Field
            label="Weeks to spare before that day"
            type="number"
            min={0}
            max={60}
            hint="two before a concert"
            value={change.marginWeeks}
            error={error("marginWeeks")}
            onChange={(e) => set({ marginWeeks: Number(e.target.value) })}
          />
        </div>
        <Tick
          label="Essential: the year must not be without it"
          checked={change.essential}
          onChange={(e) => set({ essential: e.target.checked })}
        />
        {item.milestoneId && item.kind !== "BELT" && (
          <Tick
            label="Every student is heard alone; else the section together"
            checked={change.heardAlone}
            onChange={(e) => set({ heardAlone: e.target.checked })}
          />
        )}
        {save.isError && !(save.error instanceof Problem && known.includes(save.error.field ?? "")) && (
          <p role="alert" className="text-error">
            {save.error.message}
          </p>
        )}
        <div className="flex gap-3">
          <Button look="primary" type="submit" disabled={save.isPending}>
            Keep
          </Button>
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </form>
    </Dialog>
  );
}
