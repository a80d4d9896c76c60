import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { TestResults } from "../../api/types";
import type { Scope } from "../../app/scope";

/** How a section stands in a test. */
export const testResultsQuery = (milestoneId: string, scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "test-results", milestoneId, scope],
    queryFn: () => get<TestResults>(at("/api/tests/{milestoneId}/results", { milestoneId }, scope)),
    enabled: Boolean(scope.classId ?? scope.instrument),
  });
