import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { postForm, query } from "../../api/http";
import type { BookImport } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { Field } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { booksQuery } from "./books.queries";

/** Many lines at once: files are looked at first, then the good lines are kept. */
export function LineImportPage() {
  const { bookId = "" } = useParams();
  const { search } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const books = useQuery(booksQuery);
  const [files, setFiles] = useState<File[]>([]);
  const [firstPage, setFirstPage] = useState("1");
  const take = useMutation({
    mutationFn: ({ chosen, keep }: { chosen: File[]; keep: boolean }) => {
      const form = new FormData();
      chosen.forEach((file) => form.append("file", file));
      return postForm<BookImport>(
        `/api/books/${bookId}/import${query({ firstPage: Number(firstPage) || 0, keep })}`,
        form,
      );
    },
    onSuccess: async (found) => {
      if (!found.kept) return;
      toast(`${found.good} ${found.good === 1 ? "line is" : "lines are"} kept`);
      await client.invalidateQueries({ queryKey: ["library"] });
    },
  });
  if (books.isError) return <Failed error={books.error} />;
  if (!books.data) return <Skeleton rows={6} />;
  const book = books.data.find((b) => b.id === bookId);
  if (!book) return <Empty>The library has no such book.</Empty>;
  const found = take.data;
  return (
    <>
      <Heading title="Import lines" words={book.volume ? `${book.title}, ${book.volume}` : book.title}>
        <Link
          className="btn btn-outline hairline h-9 min-h-0"
          to={{ pathname: "/library", search: scopeSearch(search, {}) }}
        >
          To the library
        </Link>
        {found && !found.kept && found.good > 0 && (
          <Button
            look="primary"
            disabled={take.isPending}
            onClick={() => take.mutate({ chosen: files, keep: true })}
          >
            Keep {found.good} {found.good === 1 ? "line" : "lines"}
          </Button>
        )}
      </Heading>
      <p className="soft mb-4 max-w-[80ch]">
        ABC files with one or many lines (X: is the number, a comment “% page 12” the page), and MusicXML
        files (.musicxml, .xml, .mxl), numbered by the first number in their names. A line with a number the
        book has already gets these notes; its orders and tries stay.
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
            if (chosen.length > 0) take.mutate({ chosen, keep: false });
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
      {found && <FoundLines found={found} />}
    </>
  );
}

function FoundLines({ found }: { found: BookImport }) {
  return (
    <section aria-label="Lines found">
      <p role="status" className="mb-2 font-semibold">
        {found.kept ? "Kept" : "Found"}: {found.good} good
        {found.refused > 0 && `, ${found.refused} not taken`}
      </p>
      <table className="w-full">
        <thead>
          <tr className="small soft border-base-content border-b-[1.5px] text-left">
            {["Line", "Title", "Page", "Concert key", "Meter", "Measures", ""].map((head) => (
              <th key={head} scope="col" className="py-1 pr-3 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {found.lines.map((line, i) => (
            <tr key={i} className="border-b border-[var(--hairline)] align-top">
              <td className="py-1 pr-3 font-semibold">{line.number || ""}</td>
              {line.problem ? (
                <td colSpan={6} className="py-1 pr-3">
                  <b>{line.file}: </b>
                  {line.problem}
                </td>
              ) : (
                <>
                  <td className="py-1 pr-3">{line.title}</td>
                  <td className="soft py-1 pr-3">{line.page}</td>
                  <td className="soft py-1 pr-3">{line.concertKey}</td>
                  <td className="soft py-1 pr-3">{line.meter}</td>
                  <td className="soft py-1 pr-3">{line.measures}</td>
                  <td className="soft py-1">
                    {line.replaces && !found.kept ? "new notes for a line there is" : ""}
                  </td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
