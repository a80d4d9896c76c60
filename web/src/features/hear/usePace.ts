import { keepPreviousData, useQuery } from "@tanstack/react-query";
import type { Pace } from "../../api/types";
import { useScope } from "../../app/scope";
import { paceQuery } from "./hear.queries";

const AGAIN = 30_000;

/** Whether who is left fits before the bell, as the run goes; asked with every mark, and while time passes. */
export function usePace(milestoneId: string, left: number, made: number): Pace | undefined {
  const { scope } = useScope();
  return useQuery({
    ...paceQuery(milestoneId, scope.classId, left, made),
    placeholderData: keepPreviousData,
    refetchInterval: AGAIN,
  }).data;
}
