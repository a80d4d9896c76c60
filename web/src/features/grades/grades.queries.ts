import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { GradeBook, Grading } from "../../api/types";

/** How grades are made, and the marking periods. */
export const gradingQuery = queryOptions({
  queryKey: ["grading"],
  queryFn: () => get<Grading>(at("/api/grades/settings")),
});

/** The grades of a class in a marking period. */
export const gradesQuery = (classId: string | undefined, periodId: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "grades", classId ?? "", periodId ?? ""],
    queryFn: () => get<GradeBook>(at("/api/grades", {}, { classId, periodId })),
    enabled: Boolean(classId && periodId),
  });
