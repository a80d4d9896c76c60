import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { TestResults, Training } from "../../api/types";
import type { Scope } from "../../app/scope";

/** How a section stands in a test. */
export const testResultsQuery = (milestoneId: string, scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "test-results", milestoneId, scope],
    queryFn: () => get<TestResults>(at("/api/tests/{milestoneId}/results", { milestoneId }, scope)),
    enabled: Boolean(scope.classId ?? scope.instrument),
  });

/** The check that trains a criterion, with its minutes and a week; none where no check on the shelf does. */
export const trainingQuery = (milestoneId: string, ordinal: number | undefined, scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "training", milestoneId, ordinal ?? 0, scope],
    queryFn: () =>
      get<Training[]>(
        at(
          "/api/tests/{milestoneId}/training",
          { milestoneId },
          { ordinal, classId: scope.classId, instrument: scope.instrument },
        ),
      ),
    enabled: Boolean(ordinal !== undefined && scope.classId && scope.instrument),
  });
