import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { WrittenCheck, WrittenSheet } from "../../api/types";

/** A written check as it is set. */
export const writtenQuery = (milestoneId: string) =>
  queryOptions({
    queryKey: ["library", "written", milestoneId],
    queryFn: () => get<WrittenCheck>(at("/api/written-checks/{milestoneId}", { milestoneId })),
    enabled: milestoneId !== "",
  });

/** Its questions with their answers, as a section reads the lines. */
export const writtenSheetQuery = (milestoneId: string, instrument: string | undefined, seed?: number) =>
  queryOptions({
    queryKey: ["library", "written-sheet", milestoneId, instrument ?? "", seed ?? "own"],
    queryFn: () =>
      get<WrittenSheet>(at("/api/written-checks/{milestoneId}/sheet", { milestoneId }, { instrument, seed })),
    enabled: Boolean(instrument),
    staleTime: 5 * 60_000,
  });
