import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { Pace } from "../../api/types";
import { useScope } from "../../app/scope";

const AGAIN = 30_000;

/** Whether who is left fits before the bell, as the run goes; asked with every mark the server has, and while time passes. */
export function usePace(milestoneId: string, left: number, recorded: number): Pace | undefined {
  const { scope } = useScope();
  const { classId } = scope;
  return useQuery({
    queryKey: ["pace", milestoneId, classId ?? "all", left, recorded],
    queryFn: () => get<Pace>(at("/api/hearing/pace/{milestoneId}", { milestoneId }, { classId, left })),
    placeholderData: keepPreviousData,
    refetchInterval: AGAIN,
    retry: false,
    gcTime: 60_000,
  }).data;
}
