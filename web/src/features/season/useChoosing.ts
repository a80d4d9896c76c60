import { useMutation, useQueryClient } from "@tanstack/react-query";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { PlanChoice } from "../../api/types";
import { useToast } from "../../ui/toasts";

/** A choice of nothing, to which something is added. */
export const nothing = { firstChecks: false, tests: false, belts: false };

/** Puts what is chosen into the plan of a class. */
export function useChoosing(classId: string, done: (added: number) => string) {
  const client = useQueryClient();
  const toast = useToast();
  return useMutation({
    mutationFn: (choice: Omit<PlanChoice, "classId">) =>
      post<{ added: number }>(at("/api/season/plan/choose"), { classId, ...choice }),
    onSuccess: async ({ added }) => {
      toast(done(added));
      await client.invalidateQueries({
        predicate: (q) => ["progress", "library"].includes(String(q.queryKey[0])),
      });
    },
  });
}
