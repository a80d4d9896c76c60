import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { SwitchRequest, Switches } from "../../api/types";

/** What changes of instrument would mean; nothing is changed by asking. */
export const switchesQuery = (request: SwitchRequest) =>
  queryOptions({
    queryKey: ["progress", "switches", request],
    queryFn: () => post<Switches>(at("/api/switches/preview"), request),
    enabled: request.from !== "" && request.students.length > 0,
    placeholderData: keepPreviousData,
  });
