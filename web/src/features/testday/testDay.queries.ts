import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { TestDay } from "../../api/types";
import type { Scope } from "../../app/scope";

/** How a director wants a test day. */
export interface TestDayWish {
  from: string;
  minutes: number;
  together: number;
  /** Period of whom is put there by hand, by student. */
  tied: Readonly<Record<string, string>>;
}

/** The day as it stands now; told anew with every mark that comes in. */
export const testDayQuery = (milestoneId: string, scope: Scope, wish: TestDayWish) =>
  queryOptions({
    queryKey: ["progress", "test-day", milestoneId, scope, wish],
    queryFn: () => get<TestDay>(testDayAddress("/api/tests/{milestoneId}/day", milestoneId, scope, wish)),
    enabled: Boolean(scope.classId ?? scope.instrument),
    placeholderData: keepPreviousData,
  });

export const testDayAddress = (
  path: "/api/tests/{milestoneId}/day" | "/api/tests/{milestoneId}/day/calendar.ics",
  milestoneId: string,
  scope: Scope,
  wish: TestDayWish,
) =>
  at(
    path,
    { milestoneId },
    {
      ...scope,
      ...wish,
      from: wish.from || undefined,
      tied: Object.entries(wish.tied).map(([studentId, period]) => `${studentId}~${period}`),
    },
  );
