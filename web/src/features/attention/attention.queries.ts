import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { Attention, DecisionOutcome, Fairness } from "../../api/types";
import type { Scope } from "../../app/scope";

const chosen = (scope: Scope) => Boolean(scope.classId ?? scope.instrument);

/** Students who need attention, why, and what is to be done next. */
export const attentionQuery = (scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "attention", scope],
    queryFn: () => get<Attention>(at("/api/attention", {}, { ...scope })),
    enabled: chosen(scope),
  });

/** Who is heard how often. */
export const fairnessQuery = (scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "fairness", scope],
    queryFn: () => get<Fairness>(at("/api/fairness", {}, { ...scope })),
    enabled: chosen(scope),
  });

/** What was decided about the sections of a class, and how it turned out. */
export const decisionsQuery = (classId: string) =>
  queryOptions({
    queryKey: ["progress", "decisions", classId],
    queryFn: () => get<DecisionOutcome[]>(at("/api/decisions", {}, { classId })),
  });
