import { queryOptions } from "@tanstack/react-query";
import { get, Problem } from "../../api/http";
import type { DescribedCheck, SchoolQuestion, StarterCheck } from "../../api/types";

export const startersQuery = queryOptions({
  queryKey: ["library", "starters"],
  queryFn: () => get<StarterCheck[]>("/api/checks/starters"),
  staleTime: 5 * 60_000,
});

/** What a check says; null where nothing more than its criteria is written. */
export const checkQuery = (milestoneId: string) =>
  queryOptions({
    queryKey: ["library", "check", milestoneId],
    queryFn: () =>
      get<DescribedCheck>(`/api/checks/${milestoneId}`).catch((error: unknown) => {
        if (error instanceof Problem && error.status === 404) return null;
        throw error;
      }),
    staleTime: 5 * 60_000,
  });

export const schoolsQuery = queryOptions({
  queryKey: ["library", "schools"],
  queryFn: () => get<SchoolQuestion[]>("/api/schools"),
  staleTime: 5 * 60_000,
});
