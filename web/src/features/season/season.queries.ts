import { at } from "../../api/at";
import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { get, post } from "../../api/http";
import type { FirstWeeks, Order, OrderSheet, WeekAsLeft, WeeksAsLeft } from "../../api/types";

export const ordersQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "orders", classId ?? "all"],
    queryFn: () => get<Order[]>(at("/api/season/orders", {}, { classId })),
  });

export const dueDayQuery = (classId: string | undefined, on: string) =>
  queryOptions({
    queryKey: ["due-day", classId ?? "all", on],
    queryFn: () => get<{ dueOn: string }>(at("/api/season/due-day", {}, { classId, on })),
    enabled: on !== "",
    staleTime: Infinity,
  });

export const orderSheetQuery = (classId: string | undefined, on: string | undefined) =>
  queryOptions({
    queryKey: ["progress", "order-sheet", classId ?? "none", on ?? "today"],
    queryFn: () => get<OrderSheet>(at("/api/season/sheet", {}, { classId, on })),
    enabled: Boolean(classId),
  });

export interface FirstWeeksWish {
  classId: string;
  from?: string;
  weeks: number;
  bookId?: string;
  linesAWeek: number;
}

/** What the weeks of a proposal want once something was moved in them. */
export const firstWeeksLookQuery = (weeks: WeeksAsLeft, moved: boolean) =>
  queryOptions({
    queryKey: ["progress", "first-weeks", "look", weeks],
    queryFn: () => post<WeekAsLeft[]>(at("/api/season/first-weeks/look"), weeks),
    placeholderData: keepPreviousData,
    enabled: moved,
    staleTime: Infinity,
  });

export const firstWeeksQuery = (wish: FirstWeeksWish) =>
  queryOptions({
    queryKey: ["progress", "first-weeks", wish],
    queryFn: () => get<FirstWeeks>(at("/api/season/first-weeks", {}, { ...wish })),
    enabled: wish.classId !== "",
    staleTime: Infinity,
    retry: false,
  });
