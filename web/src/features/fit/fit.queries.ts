import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get, post } from "../../api/http";
import type { ComputedFit, FitKind, FitMeasures, StudentFit } from "../../api/types";

/** What measures come to; nothing is kept. */
export const computedQuery = (kind: FitKind, measures: FitMeasures, wanted: boolean) =>
  queryOptions({
    queryKey: ["fit", kind, measures],
    queryFn: () => post<ComputedFit>(at("/api/fits/compute"), { kind, measures }),
    enabled: wanted,
    retry: false,
    gcTime: 0,
  });

export const studentFitsQuery = (studentId: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "fits", studentId ?? "none"],
    queryFn: () => get<StudentFit[]>(at("/api/students/{studentId}/fits", { studentId })),
    enabled: Boolean(studentId),
  });
