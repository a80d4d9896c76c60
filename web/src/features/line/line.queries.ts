import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get, post, Problem } from "../../api/http";
import type { Ladder, LineNotes, LinePreview, LineRemark } from "../../api/types";

/** A line as an instrument reads it; null where only facts are kept. */
export const lineNotesQuery = (
  lineId: string,
  instrument: string | undefined,
  classId: string | undefined,
  { division, bowed = false, place }: { division?: string; bowed?: boolean; place?: string } = {},
) =>
  queryOptions({
    queryKey: [
      "library",
      "line",
      lineId,
      instrument ?? "concert",
      classId ?? "no class",
      division ?? "",
      bowed,
      place ?? "",
    ],
    queryFn: () =>
      get<LineNotes>(
        at(
          "/api/lines/{lineId}/notes",
          { lineId },
          { instrument, classId, division, bowed: bowed || undefined, place },
        ),
      ).catch((error: unknown) => {
        if (error instanceof Problem && error.status === 404) return null;
        throw error;
      }),
    staleTime: 5 * 60_000,
  });

export const linesWithNotesQuery = queryOptions({
  queryKey: ["library", "with-notes"],
  queryFn: () => get<string[]>(at("/api/lines/with-notes")),
  staleTime: 5 * 60_000,
});

/** What is typed, as it would be read; nothing is kept. */
export const previewQuery = (abc: string, instrument: string | undefined) =>
  queryOptions({
    queryKey: ["line-preview", abc, instrument ?? "concert"],
    queryFn: () => post<LinePreview>(at("/api/lines/preview", {}, { instrument }), { abc }),
    enabled: abc.trim() !== "",
    retry: false,
    gcTime: 30_000,
    placeholderData: (before) => before,
  });

export type Habit = Ladder["habit"];

export const habitNames: Record<Habit, string> = {
  SPOTS_FIRST: "Spots first, then whole",
  WHOLE_SPOT_WHOLE: "Whole, spot, whole",
  STRAIGHT_THROUGH: "Straight through",
};

export type Theme = NonNullable<Ladder["theme"]>;

export const themeNames: Record<Theme, string> = {
  SLURS: "All slurs",
  CARRIED_ACCIDENTALS: "Accidentals that hold",
  NEW_NOTES: "The new notes",
  COUNTS: "What must be counted",
};

export const groupSizes = [2, 3, 4, 5, 6, 7, 8] as const;

export interface LadderWish {
  lineId: string;
  instrument: string;
  classId?: string;
  /** The programme's when undefined. */
  habit?: Habit;
  /** The spots are followed when undefined. */
  theme?: Theme;
  /** The usual when undefined. */
  groupSize?: number;
  division?: string;
  minutes: number;
  /** Numbers of the first and last measure, where only these are rehearsed. */
  from?: number;
  to?: number;
}

export const ladderQuery = ({ lineId, ...wish }: LadderWish) =>
  queryOptions({
    queryKey: ["library", "ladder", lineId, wish],
    queryFn: () => get<Ladder>(at("/api/lines/{lineId}/ladder", { lineId }, { ...wish })),
    staleTime: 5 * 60_000,
  });

/** The ladder kept with the line for an instrument; null where none is. */
export const keptLadderQuery = (lineId: string, instrument: string, classId: string | undefined) =>
  queryOptions({
    queryKey: ["library", "kept-ladder", lineId, instrument, classId ?? "no class"],
    queryFn: () =>
      get<Ladder>(at("/api/lines/{lineId}/ladders/{instrument}", { lineId, instrument }, { classId })).catch(
        (error: unknown) => {
          if (error instanceof Problem && error.status === 404) return null;
          throw error;
        },
      ),
  });

export const remarksQuery = (lineId: string) =>
  queryOptions({
    queryKey: ["library", "remarks", lineId],
    queryFn: () => get<LineRemark[]>(at("/api/lines/{lineId}/remarks", { lineId })),
  });
