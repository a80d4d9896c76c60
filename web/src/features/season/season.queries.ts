import { queryOptions } from "@tanstack/react-query";
import { get, query } from "../../api/http";
import type { Order, OrderSheet } from "../../api/types";

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

export const orderSheetQuery = (classId: string | undefined, on: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "order-sheet", classId ?? "none", on ?? "today"],
    queryFn: () => get<OrderSheet>(`/api/season/sheet${query({ classId, on })}`),
    enabled: Boolean(classId),
  });
