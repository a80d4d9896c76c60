import { queryOptions } from "@tanstack/react-query";
import { get, post, Problem, query } from "../../api/http";
import type { Ladder, LineNotes, LinePreview } from "../../api/types";

/** A line as an instrument reads it; null where only facts are kept. */
export const lineNotesQuery = (lineId: string, instrument: string | undefined) =>
  queryOptions({
    queryKey: ["library", "line", lineId, instrument ?? "concert"],
    queryFn: () =>
      get<LineNotes>(`/api/lines/${lineId}/notes${query({ instrument })}`).catch((error: unknown) => {
        if (error instanceof Problem && error.status === 404) return null;
        throw error;
      }),
    staleTime: 5 * 60_000,
  });

export const linesWithNotesQuery = queryOptions({
  queryKey: ["library", "with-notes"],
  queryFn: () => get<string[]>("/api/lines/with-notes"),
  staleTime: 5 * 60_000,
});

/** What is typed, as it would be read; nothing is kept. */
export const previewQuery = (abc: string, instrument: string | undefined) =>
  queryOptions({
    queryKey: ["line-preview", abc, instrument ?? "concert"],
    queryFn: () => post<LinePreview>(`/api/lines/preview${query({ instrument })}`, { abc }),
    enabled: abc.trim() !== "",
    retry: false,
    gcTime: 30_000,
    placeholderData: (before) => before,
  });

export type Habit = "SPOTS_FIRST" | "WHOLE_SPOT_WHOLE" | "STRAIGHT_THROUGH";

export const habitNames: Record<Habit, string> = {
  SPOTS_FIRST: "Spots first, then whole",
  WHOLE_SPOT_WHOLE: "Whole, spot, whole",
  STRAIGHT_THROUGH: "Straight through",
};

export const ladderQuery = (lineId: string, instrument: string, habit: Habit, minutes: number) =>
  queryOptions({
    queryKey: ["library", "ladder", lineId, instrument, habit, minutes],
    queryFn: () => get<Ladder>(`/api/lines/${lineId}/ladder${query({ instrument, habit, minutes })}`),
    staleTime: 5 * 60_000,
  });
