import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { Placing } from "../../api/types";

/** Instruments a student tried, and ways held against each other. */
export const placingQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "placing", studentId],
    queryFn: () => get<Placing>(at("/api/students/{studentId}/placing", { studentId })),
  });
