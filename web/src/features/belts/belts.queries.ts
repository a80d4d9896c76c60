import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get, post } from "../../api/http";
import type { BeltBoard, KeptLadder, LadderForm, LadderPreview, LadderToEdit } from "../../api/types";
import type { Scope } from "../../app/scope";

/** Belts of the sections chosen, on a day. */
export const beltBoardQuery = (scope: Scope, on?: string) =>
  queryOptions({
    queryKey: ["progress", "belts", scope, on],
    queryFn: () => get<BeltBoard>(at("/api/belts", {}, { ...scope, on })),
    enabled: Boolean(scope.classId ?? scope.instrument),
  });

export const laddersQuery = queryOptions({
  queryKey: ["library", "ladders"],
  queryFn: () => get<KeptLadder[]>(at("/api/ladders")),
});

export const ladderToEditQuery = (ladderId: string) =>
  queryOptions({
    queryKey: ["library", "ladders", ladderId],
    queryFn: () => get<LadderToEdit>(at("/api/ladders/{ladderId}", { ladderId })),
    // What is edited is not changed under the hands of whoever edits it.
    staleTime: Infinity,
    gcTime: 0,
    enabled: ladderId !== "",
  });

/** What a ladder would ask and who would stand where. */
export const ladderPreviewQuery = (ladderId: string | undefined, ladder: LadderForm) =>
  queryOptions({
    queryKey: ["progress", "ladder-preview", ladderId, ladder],
    queryFn: () => post<LadderPreview>(at("/api/ladders/preview"), { ladderId, ladder }),
    placeholderData: keepPreviousData,
    retry: false,
  });
