import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { PodiumView } from "../../api/types";

/** The classes of a day. */
export const podiumQuery = (on: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "podium", on],
    queryFn: () => get<PodiumView>(at("/api/podium", {}, { on })),
    enabled: on !== undefined,
    // At the bell the next class comes up.
    refetchInterval: 60_000,
  });
