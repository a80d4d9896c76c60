import { at } from "../../api/at";
import { infiniteQueryOptions, queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type {
  Folder,
  FolderDone,
  FolderTry,
  HabitHistory,
  HelpedStudent,
  MeasuredOfStudent,
  StudentVariant,
  TouchedAward,
} from "../../api/types";

export const folderQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "folder", studentId],
    queryFn: () => get<Folder>(at("/api/students/{studentId}/folder", { studentId })),
  });

export const studentVariantsQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "variants", "student", studentId],
    queryFn: () => get<StudentVariant[]>(at("/api/students/{studentId}/variants", { studentId })),
  });

export const helpedStudentQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "helped", "student", studentId],
    queryFn: () => get<HelpedStudent[]>(at("/api/students/{studentId}/helped", { studentId })),
  });

export const measuredStudentQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "measured", "student", studentId],
    queryFn: () => get<MeasuredOfStudent[]>(at("/api/students/{studentId}/measurements", { studentId })),
  });

export const habitsOfStudentQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "habits", "student", studentId],
    queryFn: () => get<HabitHistory[]>(at("/api/students/{studentId}/habits", { studentId })),
  });

/** What is done beyond the first page of a folder; nothing is asked until more is wanted. */
export const moreDoneQuery = (studentId: string, instrument: string, shown: number) =>
  infiniteQueryOptions({
    queryKey: ["progress", "folder", studentId, "done", instrument, shown],
    queryFn: ({ pageParam }) =>
      get<FolderDone>(
        at("/api/students/{studentId}/folder/done", { studentId }, { instrument, from: pageParam }),
      ),
    initialPageParam: shown,
    getNextPageParam: (page, _all, from) => (page.moreDone > 0 ? from + page.milestones.length : undefined),
  });

export const triesQuery = (studentId: string, milestoneId: string, instrument: string) =>
  queryOptions({
    queryKey: ["progress", "tries", studentId, milestoneId, instrument],
    queryFn: () =>
      get<FolderTry[]>(
        at(
          "/api/students/{studentId}/milestones/{milestoneId}/tries",
          { studentId, milestoneId },
          { instrument },
        ),
      ),
  });

/** Belts that would no longer be earned were an attempt taken back. */
export const awardsTouchedQuery = (attemptId: string) =>
  queryOptions({
    queryKey: ["progress", "awards-touched", attemptId],
    queryFn: () => get<TouchedAward[]>(at("/api/attempts/{attemptId}/awards", { attemptId })),
  });
