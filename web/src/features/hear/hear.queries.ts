import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { BeltInReach, Choice, Pace, Run, RunPosition } from "../../api/types";
import type { Scope } from "../../app/scope";

export const choicesQuery = (scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "choices", scope],
    queryFn: () => get<Choice[]>(at("/api/hearing/choices", {}, scope)),
    enabled: Boolean(scope.classId ?? scope.instrument),
  });

/** Who is to be heard. Kept apart from "progress": a run is not reshuffled under the director's hands. */
export const runQuery = (milestoneId: string, scope: Scope, others: readonly string[] = []) =>
  queryOptions({
    // A run of one class is found again by its class alone.
    queryKey: ["run", milestoneId, scope, ...(others.length > 0 ? [others] : [])],
    queryFn: () =>
      get<Run>(at("/api/hearing/run/{milestoneId}", { milestoneId }, { ...scope, with: [...others] })),
    enabled: Boolean(scope.classId ?? scope.instrument),
    staleTime: 0,
    gcTime: 0,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
  });

/** Whether who is left fits before the bell. Asked anew with every mark, for as many as are left then. */
export const paceQuery = (milestoneId: string, classId: string | undefined, left: number, made: number) =>
  queryOptions({
    queryKey: ["pace", milestoneId, classId ?? "all", left, made],
    queryFn: () => get<Pace>(at("/api/hearing/pace/{milestoneId}", { milestoneId }, { classId, left })),
    retry: false,
    gcTime: 60_000,
  });

/** Where students of a run stand now; of a hundred at most. */
export const positionsOf = (milestoneId: string, studentIds: readonly string[]) =>
  get<RunPosition[]>(
    at("/api/hearing/positions/{milestoneId}", { milestoneId }, { studentIds: [...studentIds] }),
  );

/** Whom hearing a milestone can bring a belt this week. */
export const beltsInReachQuery = (milestoneId: string, scope: Scope, others: readonly string[]) =>
  queryOptions({
    queryKey: ["progress", "belts-in-reach", milestoneId, scope, others],
    queryFn: () =>
      get<BeltInReach[]>(
        at("/api/hearing/belts-in-reach/{milestoneId}", { milestoneId }, { ...scope, with: [...others] }),
      ),
  });
