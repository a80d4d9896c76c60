import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { Book, LineFacts } from "../../api/types";

export const booksQuery = queryOptions({
  queryKey: ["library", "books"],
  queryFn: () => get<Book[]>("/api/books"),
});

export const lineFactsQuery = (lineId: string) =>
  queryOptions({
    queryKey: ["library", "facts", lineId],
    queryFn: () => get<LineFacts>(`/api/books/lines/${lineId}`),
  });
