import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { Choice, Run } from "../../api/types";
import type { Scope } from "../../app/scope";

export const choicesQuery = (scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "choices", scope],
    queryFn: () => get<Choice[]>(at("/api/hearing/choices", {}, scope)),
    enabled: Boolean(scope.classId ?? scope.instrument),
  });

/** Who is to be heard. Kept apart from "progress": a run is not reshuffled under the director's hands. */
export const runQuery = (milestoneId: string, scope: Scope) =>
  queryOptions({
    queryKey: ["run", milestoneId, scope],
    queryFn: () => get<Run>(at("/api/hearing/run/{milestoneId}", { milestoneId }, scope)),
    enabled: Boolean(scope.classId ?? scope.instrument),
    staleTime: 0,
    gcTime: 0,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
  });
