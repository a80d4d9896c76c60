import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { PlanProposal } from "../../api/types";
import { proposalsQuery } from "./plan.queries";

/** Asking for a plan of a class, and what waits to be taken. */
export function useProposing(classId: string | undefined) {
  const client = useQueryClient();
  const waiting = useQuery(proposalsQuery(classId));
  const propose = useMutation({
    mutationFn: (cause: string) => post<PlanProposal[]>(at("/api/season/plan/proposals"), { classId, cause }),
    onSuccess: (made) => client.setQueryData(proposalsQuery(classId).queryKey, made),
    onSettled: () => client.invalidateQueries({ queryKey: ["progress", "plan"] }),
  });
  return { propose, waiting: waiting.data ?? [], query: waiting };
}
