import { queryOptions } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { Guide, Programme, ShippedVolume } from "../../api/types";

export const guideQuery = queryOptions({
  queryKey: ["progress", "guide"],
  queryFn: () => get<Guide>(at("/api/start")),
});

export const programmeQuery = queryOptions({
  queryKey: ["programme"],
  queryFn: () => get<Programme>(at("/api/programme")),
});

export const shippedQuery = queryOptions({
  queryKey: ["shipped-books"],
  queryFn: () => get<ShippedVolume[]>(at("/api/shipped-books")),
  staleTime: Infinity,
});
