import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { get } from "../../api/http";
import type { LadderForm } from "../../api/types";
import { Field, SelectField } from "../../ui/Field";
import { Button, Failed } from "../../ui/parts";
import { booksQuery } from "../library/books.queries";
import { WhomFor } from "./WhomFor";

/** A belt every few pages of a book, with the checks of its weeks. */
export function FromPages({ onDrawn }: { onDrawn: (ladder: LadderForm) => void }) {
  const books = useQuery(booksQuery);
  const [bookId, setBookId] = useState<string>();
  const [name, setName] = useState("");
  const [pages, setPages] = useState(4);
  const [instruments, setInstruments] = useState<string[]>([]);
  const chosen = bookId ?? books.data?.find((book) => book.lines > 0)?.id ?? "";
  const draw = useMutation({
    mutationFn: () =>
      get<LadderForm>(
        at("/api/ladders/from-pages", {}, { name, bookId: chosen, pagesPerBelt: pages, instruments }),
      ),
    onSuccess: onDrawn,
  });
  return (
    <form
      aria-label="From a book's pages"
      className="grid content-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        draw.mutate();
      }}
    >
      <h2 className="text-[1.2rem]">From a book&rsquo;s pages</h2>
      <Field
        label="Name"
        maxLength={40}
        placeholder="winds"
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <div className="grid items-start gap-4 sm:grid-cols-[1fr_9rem]">
        <SelectField label="Book" value={chosen} onChange={(event) => setBookId(event.target.value)}>
          {books.data?.map((book) => (
            <option key={book.id} value={book.id}>
              {[book.title, book.volume].filter(Boolean).join(", ")}
            </option>
          ))}
        </SelectField>
        <Field
          label="Pages a belt"
          type="number"
          min={1}
          max={50}
          value={pages}
          onChange={(event) => setPages(event.target.valueAsNumber || 1)}
        />
      </div>
      <WhomFor instruments={instruments} onChange={setInstruments} nobody="for everybody on the roster" />
      {draw.isError && <Failed error={draw.error} />}
      <Button
        type="submit"
        look="primary"
        className="justify-self-start"
        disabled={name.trim() === "" || chosen === "" || draw.isPending}
      >
        Draw the ladder
      </Button>
    </form>
  );
}
