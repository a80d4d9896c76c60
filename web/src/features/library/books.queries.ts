import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { Book, LineFacts } from "../../api/types";

export const booksQuery = queryOptions({
  queryKey: ["library", "books"],
  queryFn: () => get<Book[]>(at("/api/books")),
});

export const lineFactsQuery = (lineId: string) =>
  queryOptions({
    queryKey: ["library", "facts", lineId],
    queryFn: () => get<LineFacts>(at("/api/books/lines/{lineId}", { lineId })),
  });
