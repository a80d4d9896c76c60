import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post } from "../../api/http";
import { libraryQuery } from "../../app/queries";
import { SelectField } from "../../ui/Field";
import { Button, Failed } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { booksQuery } from "../library/books.queries";

/** A first ladder of belts from a book's first lines, and a first playing test of one of them. */
export function TemplatesStart() {
  return (
    <div className="grid gap-x-10 gap-y-5 md:grid-cols-2">
      <LadderStart />
      <TestStart />
    </div>
  );
}

export function LadderStart() {
  const client = useQueryClient();
  const toast = useToast();
  const books = useQuery(booksQuery);
  const [bookId, setBookId] = useState<string>();
  const chosen = bookId ?? books.data?.find((book) => book.lines > 0)?.id ?? "";
  const make = useMutation({
    mutationFn: () => post<{ belts: number }>(at("/api/start/ladder"), { bookId: chosen || undefined }),
    onSuccess: async ({ belts }) => {
      toast(`${counted(belts, "belt")} made; the library shows what each asks`);
      await client.invalidateQueries();
    },
  });
  return (
    <form
      className="grid gap-3"
      aria-label="A first ladder"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate();
      }}
    >
      <p>
        Three belts: holding and sounding, first notes, first tune. Each asks of every instrument its own
        checks, and lines of the book.
      </p>
      <SelectField label="Lines of" value={chosen} onChange={(e) => setBookId(e.target.value)}>
        <option value="">no book: checks alone</option>
        {books.data?.map((book) => (
          <option key={book.id} value={book.id}>
            {[book.title, book.volume].filter(Boolean).join(", ")}
          </option>
        ))}
      </SelectField>
      {make.isError && <Failed error={make.error} />}
      <Button type="submit" className="justify-self-start" disabled={make.isPending}>
        Make a first ladder
      </Button>
    </form>
  );
}

export function TestStart() {
  const client = useQueryClient();
  const toast = useToast();
  const library = useQuery(libraryQuery);
  const lines = library.data?.milestones.filter((one) => one.kind === "LINE") ?? [];
  const [lineId, setLineId] = useState<string>();
  const chosen = lineId ?? lines[0]?.id ?? "";
  const make = useMutation({
    mutationFn: () => post<{ milestoneId: string }>(at("/api/start/test"), { lineId: chosen }),
    onSuccess: async () => {
      toast("A playing test is on the shelf; order it in Season");
      await client.invalidateQueries();
    },
  });
  return (
    <form
      className="grid gap-3"
      aria-label="A first playing test"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate();
      }}
    >
      <p>
        Five criteria from sound to hands and posture, five points each; 17 pass, and hands and posture never
        under 2.
      </p>
      <SelectField
        label="The line that is played"
        value={chosen}
        disabled={lines.length === 0}
        hint={lines.length === 0 ? "a book with lines comes first" : undefined}
        onChange={(e) => setLineId(e.target.value)}
      >
        {lines.map((line) => (
          <option key={line.id} value={line.id}>
            {line.shortName} {line.title}
          </option>
        ))}
      </SelectField>
      {make.isError && <Failed error={make.error} />}
      <Button type="submit" className="justify-self-start" disabled={make.isPending || !chosen}>
        Make a playing test
      </Button>
    </form>
  );
}
