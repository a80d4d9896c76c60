import { queryOptions, useQuery } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { SchoolYear } from "../../api/types";
import { meQuery } from "../../app/queries";

export const yearsQuery = queryOptions({
  queryKey: ["years"],
  queryFn: () => get<SchoolYear[]>(at("/api/years")),
});

/** The year of today, else the one to come, else the last. */
export const yearNow = (years: readonly SchoolYear[], today: string) =>
  years.find((year) => year.lastDay >= today) ?? years.at(-1);

/** The present school year, as it was typed. */
export function useYearNow() {
  const me = useQuery(meQuery);
  return useQuery({ ...yearsQuery, select: (years) => yearNow(years, me.data?.today ?? "") });
}
