import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { SeasonPlan } from "../../api/types";
import { noTrail, redone, stepped, undone, withMoves, type Step, type Trail } from "./plan";
import { planQuery } from "./plan.queries";

interface Sent {
  step: Step;
  /** Which way it goes, and what the trail is once it went well. */
  way: "forth" | "back";
  trail: Trail;
  evenIfBroken: boolean;
}

/** Moving things of a plan: shown at once, sent with the plan's revision, undone and done again. */
export function usePlanning(classIds: readonly string[], plan: SeasonPlan | undefined) {
  const client = useQueryClient();
  const [trail, setTrail] = useState<Trail>(noTrail);
  const key = planQuery(classIds).queryKey;
  const send = useMutation({
    scope: { id: "plan" },
    mutationFn: ({ step, way, evenIfBroken }: Sent) =>
      post<{ revision: number }>(at("/api/season/plan/moves"), {
        classId: classIds[0],
        revision: client.getQueryData(key)?.revision ?? plan?.revision ?? 0,
        moves: step[way],
        evenIfBroken,
      }),
    onMutate: ({ step, way, trail: next }) => {
      const before = client.getQueryData(key);
      if (before) client.setQueryData(key, withMoves(before, step[way]));
      setTrail(next);
      return { before, trail };
    },
    onSuccess: ({ revision }) => {
      client.setQueryData(key, (now) => now && { ...now, revision });
    },
    onError: (_, __, kept) => {
      if (kept?.before) client.setQueryData(key, kept.before);
      if (kept) setTrail(kept.trail);
    },
    onSettled: () => client.invalidateQueries({ queryKey: ["progress"] }),
  });
  const last = trail.undo.at(-1);
  const next = trail.redo.at(-1);
  return {
    error: send.error,
    refused: send.error ? send.variables : undefined,
    forget: send.reset,
    make: (step: Step, evenIfBroken = false) =>
      send.mutate({ step, way: "forth", trail: stepped(trail, step), evenIfBroken }),
    insist: () => send.variables && send.mutate({ ...send.variables, evenIfBroken: true }),
    undo: last
      ? () => send.mutate({ step: last, way: "back", trail: undone(trail), evenIfBroken: true })
      : undefined,
    redo: next
      ? () => send.mutate({ step: next, way: "forth", trail: redone(trail), evenIfBroken: true })
      : undefined,
    lastWords: last?.words,
  };
}
