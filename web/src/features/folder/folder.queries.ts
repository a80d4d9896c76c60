import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { Folder, HelpedStudent, MeasuredOfStudent, StudentVariant } from "../../api/types";

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
