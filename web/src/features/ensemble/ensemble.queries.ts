import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { Candidates, ProposedPartsOf, Pieces } from "../../api/types";
import type { Scope } from "../../app/scope";

/** Who of the sections chosen is ready for an ensemble. */
export const candidatesQuery = (ensembleId: string, scope: Scope) =>
  queryOptions({
    queryKey: ["progress", "candidates", ensembleId, scope],
    queryFn: () =>
      get<Candidates>(at("/api/ensembles/{ensembleId}/candidates", { ensembleId }, { ...scope })),
    enabled: ensembleId !== "" && Boolean(scope.classId ?? scope.instrument),
  });

/** Who of a section could play which part. */
export const partsQuery = (ensembleId: string, instrument: string, lines: string[]) =>
  queryOptions({
    queryKey: ["progress", "parts", ensembleId, instrument, lines],
    queryFn: () =>
      get<ProposedPartsOf>(at("/api/ensembles/{ensembleId}/parts", { ensembleId }, { instrument, lines })),
    enabled: lines.length > 0 && instrument !== "",
    retry: false,
  });

/** What each piece would still have to be taught by a day. */
export const piecesQuery = (ensembleId: string, lines: string[], by: string, newNotesAWeek: number) =>
  queryOptions({
    queryKey: ["progress", "pieces", ensembleId, lines, by, newNotesAWeek],
    queryFn: () =>
      get<Pieces>(at("/api/ensembles/{ensembleId}/pieces", { ensembleId }, { lines, by, newNotesAWeek })),
    enabled: lines.length > 0 && by !== "",
    retry: false,
  });
