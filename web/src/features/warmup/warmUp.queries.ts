import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { Demonstration, WarmUp, WarmUpPart, WrittenPart } from "../../api/types";

/** @param minutes there are, where none is kept */
export const warmUpQuery = (classId: string | undefined, week: string | undefined, minutes: number) =>
  queryOptions({
    queryKey: ["season", "warm-up", classId, week, minutes],
    queryFn: () => get<WarmUp>(at("/api/warm-up", {}, { classId, week, minutes })),
    enabled: Boolean(classId),
  });

interface Wish {
  classId: string;
  week?: string;
  part: WarmUpPart;
  instrument?: string;
}

/** A part written out as a section reads it. */
export const writtenPartQuery = ({ classId, week, part, instrument }: Wish) =>
  queryOptions({
    queryKey: ["season", "warm-up-part", classId, week, part.kind, part.minutes, part.key, instrument],
    queryFn: () =>
      get<WrittenPart>(
        at(
          "/api/warm-up/part",
          {},
          { classId, week, kind: part.kind, minutes: part.minutes, key: part.key, instrument },
        ),
      ),
    staleTime: 5 * 60_000,
  });

/** All of the programme, to hang one on a part. */
export const allDemonstrationsQuery = queryOptions({
  queryKey: ["library", "demonstrations"],
  queryFn: () => get<Demonstration[]>(at("/api/demonstrations")),
  staleTime: 60_000,
});
