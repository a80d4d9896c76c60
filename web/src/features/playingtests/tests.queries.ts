import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { PlayingTest, Rubrics, TestDraft } from "../../api/types";

/** A playing test as a section plays it; without an instrument as everybody does. */
export const playingTestQuery = (milestoneId: string, instrument?: string, division?: string) =>
  queryOptions({
    queryKey: ["library", "test", milestoneId, instrument ?? "all", division ?? ""],
    queryFn: () =>
      get<PlayingTest>(
        at(
          "/api/playing-tests/{milestoneId}",
          { milestoneId },
          { instrument, division: instrument && division ? division : undefined },
        ),
      ),
    staleTime: 5 * 60_000,
  });

export interface Drafted {
  draft: TestDraft;
  /** 0 of a test that is not kept yet. */
  version: number;
}

/** A test as it is written, for editing; of a new one a first draft. */
export const testDraftQuery = (milestoneId: string, lineId: string | undefined) =>
  queryOptions({
    queryKey: ["library", "test-draft", milestoneId, lineId ?? ""],
    queryFn: async (): Promise<Drafted> =>
      milestoneId
        ? get<Drafted>(at("/api/playing-tests/{milestoneId}/draft", { milestoneId }))
        : { draft: await get<TestDraft>(at("/api/playing-tests/first", {}, { lineId })), version: 0 },
    gcTime: 0,
    staleTime: Infinity,
  });

export const rubricsQuery = queryOptions({
  queryKey: ["library", "rubrics"],
  queryFn: () => get<Rubrics>(at("/api/rubrics")),
});
