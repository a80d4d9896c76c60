import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent } from "react";
import { useParams } from "react-router";
import { at } from "../../api/at";
import { get, post, postForm, Problem } from "../../api/http";
import type { TableRows, TableView } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { looks } from "../../ui/looks";
import { Button, Failed, Heading, Kbd, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { booksQuery } from "./books.queries";
import { BookTableRow } from "./BookTableRow";
import {
  cellOf,
  emptyRow,
  filled,
  inserted,
  instrumentsIn,
  partNames,
  parts,
  requestOf,
  rowOf,
  withRoom,
  type TableRow,
} from "./bookTable";

/** Typing rests this long before the server is asked what the rows would do. */
const REST_MS = 500;

/** A printed book by its facts, typed line by line with the keyboard, pasted, or from a file. */
export function BookTablePage() {
  const { bookId = "" } = useParams();
  const table = useQuery({
    queryKey: ["library", "table", bookId],
    queryFn: () => get<TableRows>(at("/api/books/{bookId}/table", { bookId })),
    staleTime: Infinity,
    gcTime: 0,
  });
  const books = useQuery(booksQuery);
  const book = books.data?.find((one) => one.id === bookId);
  if (table.isError) return <Failed error={table.error} again={() => void table.refetch()} />;
  if (!table.data) return <Skeleton rows={10} />;
  return (
    <>
      <Heading
        title={book ? [book.title, book.volume].filter(Boolean).join(", ") : "A book"}
        words="blank is as in the row above; 1–40 over pages 4–13 is one row"
      >
        <a className={`${looks.button} h-10 font-semibold`} href={`/api/books/${bookId}/lines.csv`} download>
          CSV
        </a>
      </Heading>
      <Table key={table.dataUpdatedAt} bookId={bookId} begun={table.data.rows.map(rowOf)} />
    </>
  );
}

function Table({ bookId, begun }: { bookId: string; begun: TableRow[] }) {
  const client = useQueryClient();
  const toast = useToast();
  const instruments = useQuery(instrumentsQuery);
  const [rows, setRows] = useState(() => withRoom(begun));
  const [shown, setShown] = useState(() => instrumentsIn(begun));
  const input = useRef<HTMLInputElement>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  const preview = useMutation({
    mutationFn: (of: readonly TableRow[]) =>
      post<TableView>(at("/api/books/{bookId}/table/preview", { bookId }), requestOf(of)),
  });
  const { mutate: look } = preview;
  useEffect(() => {
    if (filled(rows).length === 0) return;
    const timer = setTimeout(() => look(rows), REST_MS);
    return () => clearTimeout(timer);
  }, [rows, look]);
  const keep = useMutation({
    mutationFn: () => post<TableView>(at("/api/books/{bookId}/table", { bookId }), requestOf(rows)),
    onSuccess: async (kept) => {
      toast(`${counted(kept.lines, "line")} added${kept.changed > 0 ? `, ${kept.changed} changed` : ""}`);
      await client.invalidateQueries({
        predicate: (q) => ["library", "progress"].includes(String(q.queryKey[0])),
      });
    },
  });
  const read = useMutation({
    mutationFn: ({ file }: { file: File; place: number }) => {
      const form = new FormData();
      form.append("file", file);
      return postForm<TableRows>(at("/api/books/table-file"), form);
    },
    onSuccess: (came, { place }) => {
      const more = came.rows.map(rowOf);
      setRows((old) => inserted(old, place, more));
      setShown((old) => [...new Set([...old, ...instrumentsIn(more)])]);
      toast(
        `${counted(more.length, "row")} came in` +
          (came.ignoredHeadings.length > 0 ? `; not used: ${came.ignoredHeadings.join(", ")}` : ""),
      );
    },
  });
  const change = (id: string, to: (row: TableRow) => TableRow) =>
    setRows((old) => withRoom(old.map((row) => (row.id === id ? to(row) : row))));
  const go = (row: number, column: number) =>
    body.current?.querySelector<HTMLInputElement>(`[data-cell="${row}/${column}"]`)?.focus();
  const onKey = (event: KeyboardEvent, row: number, column: number) => {
    const step = { Enter: 1, ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    // Enter goes to the next line's first column that one types; arrows stay in theirs.
    go(row + step, event.key === "Enter" ? 0 : column);
  };
  const onPaste = (event: ClipboardEvent, row: number) => {
    const text = event.clipboardData.getData("text/plain");
    if (!/[\t\n]/.test(text.trim())) return;
    event.preventDefault();
    read.mutate({ file: new File([text], "pasted.csv", { type: "text/csv" }), place: row });
  };
  const bad = cellOf(keep.error instanceof Problem ? keep.error.field : undefined);
  const view = preview.data;
  const names = new Map(instruments.data?.map((one) => [one.code, one.name]));
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-2">
          <span className="soft whitespace-nowrap">What is new for</span>
          <select
            className={looks.smallSelect}
            value=""
            aria-label="What is new for"
            onChange={(e) => setShown([...shown, e.target.value])}
          >
            <option value="">add an instrument</option>
            {instruments.data
              ?.filter((one) => !shown.includes(one.code))
              .map((one) => (
                <option key={one.code} value={one.code}>
                  {one.name}
                </option>
              ))}
          </select>
        </label>
        <input
          ref={input}
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="sr-only"
          aria-label="Book file"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) read.mutate({ file, place: rows.length - 1 });
            event.target.value = "";
          }}
        />
        <Button small onClick={() => input.current?.click()}>
          From a CSV file
        </Button>
        <span className="small soft">
          <Kbd>Tab</Kbd> next cell &nbsp; <Kbd>Enter</Kbd> next line &nbsp; paste cells anywhere
        </span>
      </div>
      {read.isError && <Failed error={read.error} />}
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead>
            <tr className="small soft text-left">
              {parts.map((part) => (
                <th key={part} scope="col" className="pr-1.5 font-normal">
                  {partNames[part]}
                </th>
              ))}
              {shown.map((code) => (
                <th key={code} scope="col" className="pr-1.5 font-normal">
                  New: {names.get(code)?.toLowerCase() ?? code}
                </th>
              ))}
              <th scope="col" className="font-normal">
                What happens
              </th>
            </tr>
          </thead>
          <tbody ref={body}>
            {rows.map((row, i) => (
              <BookTableRow
                key={row.id}
                row={row}
                place={i}
                shown={shown}
                names={names}
                told={view?.rows[i]}
                badPart={bad?.row === i ? bad.part : undefined}
                onChange={(to) => change(row.id, to)}
                onKey={onKey}
                onPaste={onPaste}
                onDrop={() => setRows(withRoom(rows.filter((one) => one.id !== row.id)))}
              />
            ))}
          </tbody>
        </table>
      </div>
      <div className="bg-base-100 sticky bottom-0 mt-3 flex flex-wrap items-center gap-4 border-t border-[var(--hairline)] py-3">
        <Button
          look="primary"
          disabled={keep.isPending || filled(rows).length === 0}
          onClick={() => keep.mutate()}
        >
          Keep the lines
        </Button>
        <span className="small soft" role="status">
          {view &&
            [
              view.lines > 0 && `${counted(view.lines, "new line")}`,
              view.changed > 0 && `${view.changed} changed`,
              view.refused > 0 && `${view.refused} to look at`,
            ]
              .filter(Boolean)
              .join(", ")}
        </span>
        {keep.isError && (
          <p role="alert" className="text-error font-semibold">
            {bad ? `Row ${bad.row + 1}: ` : ""}
            {keep.error.message}
          </p>
        )}
        <Button small look="quiet" className="ml-auto" onClick={() => setRows([emptyRow()])}>
          Empty the table
        </Button>
      </div>
    </>
  );
}
