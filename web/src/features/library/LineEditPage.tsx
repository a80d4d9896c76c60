import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { post, Problem, put } from "../../api/http";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { booksQuery, lineFactsQuery } from "./books.queries";
import { LineFields } from "./LineFields";
import { emptyLine, formOf, requestOf, type LineForm } from "./lineForm";

/** The facts of a line, new or to change. */
export function LineEditPage() {
  const { bookId, lineId = "" } = useParams();
  const facts = useQuery({ ...lineFactsQuery(lineId), enabled: Boolean(lineId) });
  const books = useQuery(booksQuery);
  if (facts.isError) return <Failed error={facts.error} />;
  if (books.isError) return <Failed error={books.error} />;
  if (!books.data || (lineId && !facts.data)) return <Skeleton rows={9} />;
  const of = bookId ?? facts.data!.bookId;
  const book = books.data.find((b) => b.id === of);
  const name = book ? (book.volume ? `${book.title}, ${book.volume}` : book.title) : "";
  return (
    <Editor
      bookId={of}
      lineId={lineId}
      book={name}
      notesKept={book?.notesKept ?? false}
      first={facts.data ? formOf(facts.data) : emptyLine}
      retired={facts.data?.retired ?? false}
    />
  );
}

interface EditorProps {
  bookId: string;
  lineId: string;
  book: string;
  notesKept: boolean;
  first: LineForm;
  retired: boolean;
}

function Editor({ bookId, lineId, book, notesKept, first, retired }: EditorProps) {
  const [form, setForm] = useState(first);
  const { search } = useScope();
  const navigate = useNavigate();
  const client = useQueryClient();
  const toast = useToast();
  const to = (pathname: string) => void navigate({ pathname, search: scopeSearch(search, {}) });
  const keep = useMutation({
    mutationFn: async () => {
      const value = requestOf(bookId, form);
      if (!lineId) return post<{ id: string }>(at("/api/books/lines"), value);
      await put<void>(at("/api/books/lines/{lineId}", { lineId }), value);
      return { id: lineId };
    },
    onSuccess: async ({ id }) => {
      toast(`Line ${form.number} is kept`);
      await client.invalidateQueries({ queryKey: ["library"] });
      to(`/library/lines/${id}`);
    },
  });
  const retire = useMutation({
    mutationFn: () => post<void>(at("/api/books/lines/{lineId}/retired", { lineId }), { retired: !retired }),
    onSuccess: async () => {
      toast(retired ? "Back on the shelf" : "Off the shelf; orders and tries stay");
      await client.invalidateQueries({ queryKey: ["library"] });
      to("/library");
    },
  });
  const wrong = keep.error instanceof Problem ? keep.error : undefined;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <Heading title={lineId ? `Line ${first.number}` : "A new line"} words={book}>
        {lineId && (
          <Button onClick={() => retire.mutate()}>
            {retired ? "Put back on the shelf" : "Take off the shelf"}
          </Button>
        )}
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <Button look="primary" type="submit" disabled={keep.isPending}>
          Keep the line
        </Button>
      </Heading>
      <p className="soft mb-4 max-w-[80ch]">
        These are facts: what a page asks, without its notes. Of a published book one holds no rights to, that
        is all one should keep.
        {notesKept && " Of this book the notes may be kept too, on the line’s own page."}
      </p>
      {keep.isError && !wrong?.field && <Failed error={keep.error} />}
      {retire.isError && <Failed error={retire.error} />}
      <LineFields form={form} onForm={setForm} wrong={wrong} />
    </form>
  );
}
