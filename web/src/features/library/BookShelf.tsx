import { useQuery } from "@tanstack/react-query";
import { Pencil } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import type { Book, Milestone } from "../../api/types";
import { loadNotation } from "../../app/loadNotation";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Empty, Failed, Skeleton } from "../../ui/parts";
import { Shipped } from "../start/BooksStart";
import { BookForm } from "./BookForm";
import { booksQuery } from "./books.queries";
import { looks } from "../../ui/looks";

/** The method books with their lines by page. */
export function BookShelf({ lines, director }: { lines: Milestone[]; director: boolean }) {
  const books = useQuery(booksQuery);
  const [adding, setAdding] = useState(false);
  if (books.isError) return <Failed error={books.error} again={() => void books.refetch()} />;
  if (!books.data) return <Skeleton rows={10} />;
  return (
    <>
      {director && (
        <div className="mb-3">
          {adding ? (
            <BookForm onDone={() => setAdding(false)} />
          ) : (
            <Button small onClick={() => setAdding(true)}>
              Add a book
            </Button>
          )}
        </div>
      )}
      {books.data.length === 0 && (
        <Empty>
          No method book is on the shelf yet: add one and type its lines from the page, or take the one that
          ships.
        </Empty>
      )}
      {director && (
        <div className="mb-4">
          <Shipped />
        </div>
      )}
      <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
        {books.data.map((book) => (
          <OneBook
            key={book.id}
            book={book}
            lines={lines.filter((m) => m.line?.bookId === book.id)}
            director={director}
          />
        ))}
      </div>
    </>
  );
}

const nameOf = (book: Book) => (book.volume ? `${book.title}, ${book.volume}` : book.title);

function OneBook({ book, lines, director }: { book: Book; lines: Milestone[]; director: boolean }) {
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const [editing, setEditing] = useState(false);
  return (
    <section aria-label={nameOf(book)}>
      <div className="mb-1 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-[1.3rem]">{nameOf(book)}</h2>
        {!book.notesKept && <span className="small soft">facts alone are kept</span>}
        {director && !editing && (
          <span className="small ml-auto flex gap-4">
            <button type="button" className={looks.link} onClick={() => setEditing(true)}>
              <Pencil size={13} aria-hidden className="mr-1 inline" />
              Edit <span className="sr-only">{nameOf(book)}</span>
            </button>
            <Link to={{ pathname: `/library/books/${book.id}/table`, search: kept }}>Lines as a table</Link>
            <Link to={{ pathname: `/library/books/${book.id}/lines/new`, search: kept }}>Add a line</Link>
            {book.notesKept && (
              <Link to={{ pathname: `/library/books/${book.id}/import`, search: kept }}>Import lines</Link>
            )}
          </span>
        )}
      </div>
      {editing && <BookForm book={book} onDone={() => setEditing(false)} />}
      {lines.length === 0 ? (
        <p className="soft">No line yet.</p>
      ) : (
        <table className="w-full">
          <thead>
            <tr className="small soft border-base-content border-b-[1.5px] text-left">
              {["Page", "Line", "Concert key", "Meter"].map((head) => (
                <th key={head} scope="col" className="py-1 pr-3 font-normal">
                  {head}
                </th>
              ))}
              <th scope="col" className="text-right font-normal">
                ♩ =
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map((m) => (
              <tr key={m.id} className="border-b border-[var(--hairline)]">
                <td className="soft py-1 pr-3">{m.line?.page}</td>
                <td className="pr-3">
                  <b>{m.shortName}</b>{" "}
                  <Link
                    to={{ pathname: `/library/lines/${m.id}`, search: kept }}
                    onPointerEnter={() => void loadNotation()}
                    onFocus={() => void loadNotation()}
                  >
                    {m.title}
                  </Link>
                </td>
                <td className="soft pr-3">{m.line?.concertKey}</td>
                <td className="soft pr-3">{m.line?.meter}</td>
                <td className="soft text-right">{m.line?.tempoBpm}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
