import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import { post } from "../../api/http";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Failed, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { BookForm } from "../library/BookForm";
import { booksQuery } from "../library/books.queries";
import { shippedQuery } from "./start.queries";

/** The books of the programme, and how one comes onto the shelf: typed by its facts, or the one that ships. */
export function BooksStart() {
  const books = useQuery(booksQuery);
  const { search } = useScope();
  const [adding, setAdding] = useState(false);
  if (books.isError) return <Failed error={books.error} again={() => void books.refetch()} />;
  if (!books.data) return <Skeleton rows={2} />;
  return (
    <div className="grid gap-4">
      <ul>
        {books.data.map((book) => (
          <li
            key={book.id}
            className="flex flex-wrap items-baseline gap-x-4 border-b border-[var(--hairline)] py-1.5"
          >
            <b>{[book.title, book.volume].filter(Boolean).join(", ")}</b>
            <span className="soft grow">
              {book.lines === 0 ? "no line yet" : counted(book.lines, "line")}
            </span>
            <Link to={{ pathname: `/library/books/${book.id}/table`, search: scopeSearch(search, {}) }}>
              {book.lines === 0 ? "Type its lines" : "Lines as a table"}
            </Link>
          </li>
        ))}
      </ul>
      {adding || books.data.length === 0 ? (
        <BookForm onDone={() => setAdding(false)} />
      ) : (
        <Button small className="justify-self-start" onClick={() => setAdding(true)}>
          Add a book
        </Button>
      )}
      <Shipped />
    </div>
  );
}

/** The volumes of the book that ships, each to be taken onto the shelf. */
export function Shipped() {
  const client = useQueryClient();
  const toast = useToast();
  const shipped = useQuery(shippedQuery);
  const books = useQuery(booksQuery);
  const take = useMutation({
    mutationFn: (volume: string) => post<{ lines: number }>(at("/api/shipped-books"), { volume }),
    onSuccess: async ({ lines }, volume) => {
      toast(`${counted(lines, "line")} of ${volume} are on the shelf, with their notes`);
      await client.invalidateQueries({
        predicate: (q) => ["library", "progress"].includes(String(q.queryKey[0])),
      });
    },
  });
  const open =
    shipped.data?.filter(
      (one) => !books.data?.some((book) => book.title === one.title && book.volume === one.volume),
    ) ?? [];
  if (open.length === 0) return null;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="soft">Or take the book that ships, with notes for every instrument:</span>
      {open.map((one) => (
        <Button key={one.volume} small disabled={take.isPending} onClick={() => take.mutate(one.volume)}>
          {one.title}, {one.volume} ({one.lines})
        </Button>
      ))}
      {take.isPending && <span role="status">Taking its lines onto the shelf…</span>}
      {take.isError && <Failed error={take.error} />}
    </div>
  );
}
