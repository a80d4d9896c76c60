import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { FaultCount } from "../../api/types";
import type { Scope } from "../../app/scope";

/** What goes wrong in a section this school year, counted. */
export const sectionFaultsQuery = (scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "section-faults", scope],
    queryFn: () => get<FaultCount[]>(at("/api/board/faults", {}, { ...scope })),
    enabled: Boolean(scope.classId ?? scope.instrument),
  });
