import { infiniteQueryOptions, queryOptions } from "@tanstack/react-query";
import { get, query } from "../../api/http";
import type {
  Folder,
  FolderDone,
  FolderTry,
  HelpedStudent,
  MeasuredOfStudent,
  StudentVariant,
} from "../../api/types";

export const folderQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "folder", studentId],
    queryFn: () => get<Folder>(`/api/students/${studentId}/folder`),
  });

export const studentVariantsQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "variants", "student", studentId],
    queryFn: () => get<StudentVariant[]>(`/api/students/${studentId}/variants`),
  });

export const helpedStudentQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "helped", "student", studentId],
    queryFn: () => get<HelpedStudent[]>(`/api/students/${studentId}/helped`),
  });

export const measuredStudentQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "measured", "student", studentId],
    queryFn: () => get<MeasuredOfStudent[]>(`/api/students/${studentId}/measurements`),
  });

/** What is done beyond the first page of a folder; nothing is asked until more is wanted. */
export const moreDoneQuery = (studentId: string, instrument: string, shown: number) =>
  infiniteQueryOptions({
    queryKey: ["progress", "folder", studentId, "done", instrument, shown],
    queryFn: ({ pageParam }) =>
      get<FolderDone>(`/api/students/${studentId}/folder/done${query({ instrument, from: pageParam })}`),
    initialPageParam: shown,
    getNextPageParam: (page, _all, from) => (page.moreDone > 0 ? from + page.milestones.length : undefined),
  });

export const triesQuery = (studentId: string, milestoneId: string, instrument: string) =>
  queryOptions({
    queryKey: ["progress", "tries", studentId, milestoneId, instrument],
    queryFn: () =>
      get<FolderTry[]>(`/api/students/${studentId}/milestones/${milestoneId}/tries${query({ instrument })}`),
  });
