import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get, Problem } from "../../api/http";
import type {
  CautionView,
  CheckDraftView,
  CheckVariants,
  Demonstration,
  DescribedCheck,
  FirstNotes,
  MeasuredStudent,
  Parts,
  Readiness,
  SchoolQuestion,
  ScopeRequest,
  StarterCheck,
  WhatHelped,
} from "../../api/types";

/** The starter checks for an instrument, in teaching order. */
export const startersQuery = (instrument: string | undefined) =>
  queryOptions({
    queryKey: ["library", "starters", instrument],
    queryFn: () => get<StarterCheck[]>(at("/api/checks/starters", {}, { instrument })),
    enabled: Boolean(instrument),
    staleTime: 5 * 60_000,
  });

/** What a check says; null where nothing more than its criteria is written. */
export const checkQuery = (milestoneId: string, instrument?: string) =>
  queryOptions({
    queryKey: ["library", "check", milestoneId, instrument ?? "any"],
    queryFn: () =>
      get<DescribedCheck>(at("/api/checks/{milestoneId}", { milestoneId }, { instrument })).catch(nothing),
    staleTime: 5 * 60_000,
  });

/** Parts of an instrument by their numbers on its drawing. */
export const partsQuery = (instrument: string | undefined) =>
  queryOptions({
    queryKey: ["library", "parts", instrument],
    queryFn: () => get<Parts>(at("/api/instruments/{instrument}/parts", { instrument })),
    enabled: Boolean(instrument),
    staleTime: Infinity,
  });

/** The notes the programme's book begins with, as an instrument reads them. */
export const firstNotesQuery = (instrument: string | undefined) =>
  queryOptions({
    queryKey: ["library", "first-notes", instrument],
    queryFn: () => get<FirstNotes>(at("/api/lines/first-notes", {}, { instrument })),
    enabled: Boolean(instrument),
    staleTime: 5 * 60_000,
  });

/** Best and latest of every student of a section who was measured. */
export const measuredQuery = (milestoneId: string, scope: ScopeRequest) =>
  queryOptions({
    queryKey: ["progress", "measured", milestoneId, scope],
    queryFn: () =>
      get<MeasuredStudent[]>(at("/api/checks/{milestoneId}/measurements", { milestoneId }, { ...scope })),
  });

/** A check as it is written, for editing. Not kept: an edit starts from what is there now. */
export const draftQuery = (milestoneId: string) =>
  queryOptions({
    queryKey: ["library", "draft", milestoneId],
    queryFn: () => get<CheckDraftView>(at("/api/checks/{milestoneId}/draft", { milestoneId })),
    gcTime: 0,
    staleTime: Infinity,
    enabled: milestoneId !== "",
  });

/** Checks that were taken off the shelf. */
export const retiredQuery = queryOptions({
  queryKey: ["library", "retired"],
  queryFn: () => get<{ milestoneId: string; title: string }[]>(at("/api/checks/retired")),
});

export const cautionsQuery = queryOptions({
  queryKey: ["library", "cautions"],
  queryFn: () => get<CautionView[]>(at("/api/checks/cautions")),
  staleTime: Infinity,
});

export const demonstrationsQuery = (milestoneId: string) =>
  queryOptions({
    queryKey: ["library", "demonstrations", milestoneId],
    queryFn: () => get<Demonstration[]>(at("/api/checks/{milestoneId}/demonstrations", { milestoneId })),
  });

/** Variants of a check, and who of a section uses which; null where nothing more is written. */
export const checkVariantsQuery = (milestoneId: string, scope: ScopeRequest) =>
  queryOptions({
    queryKey: ["progress", "variants", milestoneId, scope],
    queryFn: () =>
      get<CheckVariants>(at("/api/checks/{milestoneId}/variants", { milestoneId }, scope)).catch(nothing),
  });

export const helpedQuery = (milestoneId: string, scope: ScopeRequest) =>
  queryOptions({
    queryKey: ["progress", "helped", milestoneId, scope],
    queryFn: () => get<WhatHelped>(at("/api/checks/{milestoneId}/helped", { milestoneId }, scope)),
  });

/** What comes before a check, and who of a section has still to pass it. */
export const readinessQuery = (milestoneId: string, scope: ScopeRequest) =>
  queryOptions({
    queryKey: ["progress", "readiness", milestoneId, scope],
    queryFn: () => get<Readiness[]>(at("/api/checks/{milestoneId}/readiness", { milestoneId }, scope)),
  });

export const schoolsQuery = queryOptions({
  queryKey: ["library", "schools"],
  queryFn: () => get<SchoolQuestion[]>(at("/api/schools")),
  staleTime: 5 * 60_000,
});

function nothing(error: unknown) {
  if (error instanceof Problem && error.status === 404) return null;
  throw error;
}
