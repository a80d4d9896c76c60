import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { postForm } from "../../api/http";
import type { BookImport } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { Field } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { booksQuery } from "./books.queries";
import { FoundLines, type PartChoices } from "./FoundLines";
import { looks } from "../../ui/looks";
import { counted } from "../../ui/words";

/** Many lines at once: files are looked at first, then the good lines are kept. */
export function LineImportPage() {
  const { bookId = "" } = useParams();
  const { search } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const books = useQuery(booksQuery);
  const [files, setFiles] = useState<File[]>([]);
  const [firstPage, setFirstPage] = useState("1");
  const [uses, setUses] = useState<PartChoices>({});
  const take = useMutation({
    mutationFn: ({ chosen, uses, keep }: { chosen: File[]; uses: PartChoices; keep: boolean }) => {
      const form = new FormData();
      chosen.forEach((file) => form.append("file", file));
      form.append("choices", JSON.stringify(uses));
      return postForm<BookImport>(
        at("/api/books/{bookId}/import", { bookId }, { firstPage: Number(firstPage) || 0, keep }),
        form,
      );
    },
    onSuccess: async (found) => {
      if (!found.kept) return;
      toast(`${counted(found.good, "line is", "lines are")} kept`);
      await client.invalidateQueries({ queryKey: ["library"] });
    },
  });
  const choose = (file: string, part: string, use: string) => {
    const next = { ...uses, [file]: { ...uses[file], [part]: use } };
    setUses(next);
    take.mutate({ chosen: files, uses: next, keep: false });
  };
  if (books.isError) return <Failed error={books.error} />;
  if (!books.data) return <Skeleton rows={6} />;
  const book = books.data.find((b) => b.id === bookId);
  if (!book) return <Empty>The library has no such book.</Empty>;
  const found = take.data;
  return (
    <>
      <Heading title="Import lines" words={book.volume ? `${book.title}, ${book.volume}` : book.title}>
        <Link
          className={`${looks.button} h-9 min-h-0`}
          to={{ pathname: "/library", search: scopeSearch(search, {}) }}
        >
          To the library
        </Link>
        {found && !found.kept && found.good > 0 && (
          <Button
            look="primary"
            disabled={take.isPending}
            onClick={() => take.mutate({ chosen: files, uses, keep: true })}
          >
            Keep {counted(found.good, "line")}
          </Button>
        )}
      </Heading>
      <p className="soft mb-4 max-w-[80ch]">
        ABC files with one or many lines (X: is the number, a comment “% page 12” the page), and MusicXML
        files (.musicxml, .xml, .mxl), numbered by the first number in their names. A line with a number the
        book has already gets these notes; its orders and tries stay. Of a score with several parts you see
        whose each is taken for, and can say otherwise; whatever is not kept is named.
      </p>
      <div className="mb-5 grid max-w-2xl items-start gap-4 sm:grid-cols-[1fr_10rem]">
        <Field
          label="Files"
          type="file"
          multiple
          accept=".abc,.txt,.musicxml,.xml,.mxl"
          className="file-input"
          onChange={(event) => {
            const chosen = [...(event.target.files ?? [])];
            setFiles(chosen);
            setUses({});
            if (chosen.length > 0) take.mutate({ chosen, uses: {}, keep: false });
          }}
        />
        <Field
          label="Page"
          inputMode="numeric"
          hint="of lines that say none"
          value={firstPage}
          onChange={(event) => setFirstPage(event.target.value)}
        />
      </div>
      {take.isPending && <progress className="progress w-full max-w-2xl" aria-label="Reading the files" />}
      {take.isError && <Failed error={take.error} />}
      {found && <FoundLines found={found} onChoose={found.kept ? undefined : choose} />}
    </>
  );
}
