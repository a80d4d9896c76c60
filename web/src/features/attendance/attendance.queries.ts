import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { AbsenceList } from "../../api/types";

/** Everybody of a class on a day, and who is away. */
export const absencesQuery = (classId: string, on: string) =>
  queryOptions({
    queryKey: ["progress", "absences", classId, on],
    queryFn: () => get<AbsenceList>(at("/api/absences", {}, { classId, on })),
  });
