import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { PlanProposal } from "../../api/types";
import { addDays, shortDay } from "../../app/days";
import { classesQuery } from "../../app/queries";
import { Field, Tick } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { Dialog } from "./Dialog";
import { proposalsQuery } from "./plan.queries";

/** A day or a week without school, and at once both ways of going on from there. */
export function LoseDay({
  classId,
  from,
  onClose,
  onProposed,
}: {
  classId: string;
  from: string;
  onClose: () => void;
  onProposed: () => void;
}) {
  const client = useQueryClient();
  const [day, setDay] = useState(from);
  const [name, setName] = useState("");
  const [week, setWeek] = useState(false);
  const classes = useQuery(classesQuery);
  /** The turn of A and B days moves on for every class; each that has a plan gets its proposal. */
  const proposeForOthers = async () => {
    for (const other of classes.data ?? []) {
      if (other.id === classId) continue;
      const cause = `${shortDay(day)} lost`;
      await post(at("/api/season/plan/proposals"), { classId: other.id, cause }).catch(() => undefined);
    }
    await client.invalidateQueries({ queryKey: ["progress"] });
  };
  const lose = useMutation({
    mutationFn: async () => {
      const why = name.trim() || "Lost day";
      if (week) await loseWeek(day, why);
      else await post(at("/api/years/lost-days"), { day, name: why });
      return post<PlanProposal[]>(at("/api/season/plan/proposals"), {
        classId,
        cause: week ? `week of ${shortDay(day)} lost` : `${shortDay(day)} lost`,
      });
    },
    onSuccess: async (made) => {
      client.setQueryData(proposalsQuery(classId).queryKey, made);
      await client.invalidateQueries();
      onProposed();
      void proposeForOthers();
    },
  });
  return (
    <Dialog title="Lose a day" onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          lose.mutate();
        }}
      >
        <p className="soft">
          School does not meet; the calendar keeps it, and the plan is looked for again. Nothing of a plan
          moves before you take it. Every class with a plan gets its proposal.
        </p>
        <div className="grid grid-cols-2 gap-4">
          <Field label="Day" type="date" required value={day} onChange={(e) => setDay(e.target.value)} />
          <Field
            label="Why"
            placeholder="Storm day"
            maxLength={120}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </div>
        <Tick label="The whole week of that day" checked={week} onChange={(e) => setWeek(e.target.checked)} />
        {lose.isError && (
          <p role="alert" className="text-error">
            {lose.error.message}
          </p>
        )}
        <div className="flex gap-3">
          <Button look="primary" type="submit" disabled={lose.isPending || !day}>
            {lose.isPending ? "Looking for a plan…" : "Lose it, and propose"}
          </Button>
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </form>
    </Dialog>
  );
}

/** Every day of a week on which school would meet. */
async function loseWeek(day: string, name: string) {
  const weekday = (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
  let lost = 0;
  let refused: unknown;
  for (let i = 0; i < 5; i++) {
    try {
      await post(at("/api/years/lost-days"), { day: addDays(day, i - weekday), name });
      lost++;
    } catch (error) {
      refused = error;
    }
  }
  if (lost === 0) throw refused;
}
