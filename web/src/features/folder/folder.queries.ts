import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { Folder } from "../../api/types";

export const folderQuery = (studentId: string) =>
  queryOptions({
    queryKey: ["progress", "folder", studentId],
    queryFn: () => get<Folder>(`/api/students/${studentId}/folder`),
  });
