import { at } from "../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get } from "../api/http";
import type {
  BoardView,
  ClassView,
  Instrument,
  LibraryView,
  Me,
  SectionView,
  Student,
  YearView,
} from "../api/types";
import type { Scope } from "./scope";

/** Reads that many screens share. What hearing changes is kept under "progress", to be read anew after a mark. */
export const meQuery = queryOptions({
  queryKey: ["me"],
  queryFn: () => get<Me>(at("/api/session")),
  retry: false,
  staleTime: Infinity,
});

export const yearQuery = queryOptions({
  queryKey: ["year"],
  queryFn: () => get<YearView>(at("/api/year")),
  staleTime: 60 * 60_000,
});

export const classesQuery = queryOptions({
  queryKey: ["roster", "classes"],
  queryFn: () => get<ClassView[]>(at("/api/classes")),
});

export const studentsQuery = queryOptions({
  queryKey: ["roster", "students"],
  queryFn: () => get<Student[]>(at("/api/students")),
});

export const instrumentsQuery = queryOptions({
  queryKey: ["instruments"],
  queryFn: () => get<Instrument[]>(at("/api/instruments")),
  staleTime: Infinity,
});

/** The family of each instrument, by code. */
export const familyOf = queryOptions({
  ...instrumentsQuery,
  select: (instruments: Instrument[]) => new Map(instruments.map((i) => [i.code, i.family])),
});

export const libraryQuery = queryOptions({
  queryKey: ["library"],
  queryFn: () => get<LibraryView>(at("/api/library")),
  staleTime: 5 * 60_000,
});

export const railQuery = (classId: string | undefined, on?: string) =>
  queryOptions({
    queryKey: ["progress", "rail", classId ?? "all", on ?? "today"],
    queryFn: () => get<{ sections: SectionView[] }>(at("/api/rail", {}, { classId, on })),
  });

export const boardQuery = (scope: Scope, on?: string) =>
  queryOptions({
    queryKey: ["progress", "board", scope, on ?? "today"],
    queryFn: () => get<BoardView>(at("/api/board", {}, { ...scope, on })),
    enabled: Boolean(scope.classId ?? scope.instrument),
  });
