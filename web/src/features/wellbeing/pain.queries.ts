import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { PainReport } from "../../api/types";

export const painQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "pain", studentId],
    queryFn: () => get<PainReport[]>(at("/api/students/{studentId}/pain-reports", { studentId })),
  });
