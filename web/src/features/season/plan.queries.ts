import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get, post } from "../../api/http";
import type {
  FingerPattern,
  LongLook,
  PlanProposal,
  PlanSettings,
  PlanTarget,
  SeasonForecast,
  SeasonPlan,
} from "../../api/types";

/** The plan of classes for the year, with what was ordered. */
export const planQuery = (classIds: readonly string[]) =>
  queryOptions({
    queryKey: ["progress", "plan", ...classIds],
    queryFn: () => get<SeasonPlan>(at("/api/season/plan", {}, { classIds: [...classIds] })),
    enabled: classIds.length > 0,
    placeholderData: keepPreviousData,
  });

/** For every week whether these may stand there, the first leading. */
export const targetsQuery = (classId: string, itemIds: readonly string[], revision: number) =>
  queryOptions({
    queryKey: ["progress", "plan-targets", classId, revision, ...itemIds],
    queryFn: () => post<PlanTarget[]>(at("/api/season/plan/targets"), { classId, itemIds }),
    enabled: itemIds.length > 0,
    staleTime: Infinity,
  });

export const whyQuery = (classId: string, itemId: string, revision: number) =>
  queryOptions({
    queryKey: ["progress", "plan-why", classId, revision, itemId],
    queryFn: () => get<{ sentences: string[] }>(at("/api/season/plan/why", {}, { classId, itemId })),
    staleTime: Infinity,
  });

export const proposalsQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "plan-proposals", classId ?? "none"],
    queryFn: () => get<PlanProposal[]>(at("/api/season/plan/proposals", {}, { classId })),
    enabled: Boolean(classId),
  });

export const planSettingsQuery = queryOptions({
  queryKey: ["progress", "plan-settings"],
  queryFn: () => get<PlanSettings>(at("/api/season/plan/settings")),
});

export const forecastsQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "forecasts", classId ?? "none"],
    queryFn: () => get<SeasonForecast[]>(at("/api/season/forecasts", {}, { classId })),
    enabled: Boolean(classId),
  });

/** How far a long look is; asked again while it looks. */
export const longLookQuery = (lookId: string | undefined) =>
  queryOptions({
    queryKey: ["long-look", lookId ?? "none"],
    queryFn: () => get<LongLook>(at("/api/season/plan/looks/{lookId}", { lookId })),
    enabled: Boolean(lookId),
    refetchInterval: (query) => (query.state.data?.endedAs ? false : 500),
  });

export const feedQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["calendar-feed", classId ?? "none"],
    queryFn: () => get<{ openedAt?: string }>(at("/api/season/feeds/{classId}", { classId })),
    enabled: Boolean(classId),
  });

export const fingerPatternsQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["library", "finger-patterns", classId ?? "none"],
    queryFn: () => get<FingerPattern[]>(at("/api/classes/{classId}/finger-patterns", { classId })),
    enabled: Boolean(classId),
  });
