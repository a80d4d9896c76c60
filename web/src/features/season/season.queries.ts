import { queryOptions } from "@tanstack/react-query";
import { get, query } from "../../api/http";
import type { Order } from "../../api/types";

export const ordersQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "orders", classId ?? "all"],
    queryFn: () => get<Order[]>(`/api/season/orders${query({ classId })}`),
  });

export const dueDayQuery = (classId: string | undefined, on: string) =>
  queryOptions({
    queryKey: ["due-day", classId ?? "all", on],
    queryFn: () => get<{ dueOn: string }>(`/api/season/due-day${query({ classId, on })}`),
    enabled: on !== "",
    staleTime: Infinity,
  });
