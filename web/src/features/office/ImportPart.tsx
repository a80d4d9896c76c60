import { at } from "../../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useRef, useState } from "react";
import { postForm } from "../../api/http";
import type { Preview, PreviewRow } from "../../api/types";
import { AreaField } from "../../ui/Field";
import { Band, Button, Failed } from "../../ui/parts";
import { takeWords } from "./importWords";
import { RosterHelp } from "./RosterHelp";
import { counted } from "../../ui/words";

const form = (file: File) => {
  const data = new FormData();
  data.append("file", file);
  return data;
};

/** Choose a CSV, see row by row what it will do, take the good rows. */
export function ImportPart() {
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File>();
  const [pasting, setPasting] = useState(false);
  const preview = useMutation({
    mutationFn: (chosen: File) => postForm<Preview>(at("/api/roster-import/preview"), form(chosen)),
  });
  const take = useMutation({
    mutationFn: ({ chosen, fingerprint }: { chosen: File; fingerprint: string }) =>
      postForm<Preview>(at("/api/roster-import", {}, { fingerprint }), form(chosen)),
    onSuccess: () =>
      client.invalidateQueries({
        predicate: (q) => q.queryKey[0] === "roster" || q.queryKey[0] === "progress",
      }),
  });
  const choose = (chosen: File | undefined) => {
    if (!chosen) return;
    setFile(chosen);
    take.reset();
    preview.mutate(chosen);
  };
  const taken = take.isSuccess;
  const shown = taken ? take.data : preview.data;
  const changes = shown ? shown.seats + shown.moves : 0;
  return (
    <>
      <div
        className="hairline bg-base-200/50 flex flex-wrap items-center gap-4 rounded-xl border-[1.5px] border-dashed px-5 py-4"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          choose(event.dataTransfer.files[0]);
        }}
      >
        <div className="grow">
          <p className="font-semibold">A CSV with name, class and instrument</p>
          <p className="small soft">
            Division, start date (like 2026-10-01) and student number may follow. Nothing changes before you
            take it.
          </p>
        </div>
        <input
          ref={input}
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="sr-only"
          aria-label="Roster file"
          onChange={(event) => {
            choose(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
        <Button onClick={() => setPasting(!pasting)} aria-expanded={pasting}>
          Paste from a spreadsheet
        </Button>
        <Button look={shown ? "plain" : "primary"} onClick={() => input.current?.click()}>
          {file ? "Choose another file" : "Choose a file"}
        </Button>
      </div>
      {pasting && (
        <form
          className="mt-3 grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            const typed = String(new FormData(event.currentTarget).get("rows") ?? "");
            choose(new File([typed], "pasted.csv", { type: "text/csv" }));
            setPasting(false);
          }}
        >
          <AreaField
            label="Rows with their heading"
            name="rows"
            rows={7}
            autoFocus
            hint="copy the cells with the heading row: name, class, instrument"
          />
          <Button type="submit" small className="justify-self-start">
            Look at the rows
          </Button>
        </form>
      )}
      {preview.isPending && (
        <progress className="progress progress-primary mt-4 w-full" aria-label="Reading the file" />
      )}
      {preview.isError && <Failed error={preview.error} />}
      {take.isError && <Failed error={take.error} again={file && (() => choose(file))} />}
      {shown && !preview.isPending && !preview.isError && (
        <>
          <div className="my-4">
            <Band label="What the file will do">
              <p className="grow" role="status">
                <b>{taken ? "Taken. " : `${file?.name}: `}</b>
                {takeWords(shown, taken)}
                {shown.notices.map((notice) => (
                  <span key={notice} className="block">
                    {notice}
                  </span>
                ))}
                {shown.ignoredHeadings.length > 0 && (
                  <span className="small soft block">
                    Columns not used: {shown.ignoredHeadings.join(", ")}
                  </span>
                )}
              </p>
              {!taken && changes > 0 && file && (
                <Button
                  look="primary"
                  disabled={take.isPending}
                  onClick={() => take.mutate({ chosen: file, fingerprint: shown.fingerprint })}
                >
                  {take.isPending ? "Taking…" : `Take ${counted(changes, "row")}`}
                </Button>
              )}
            </Band>
          </div>
          <PreviewRows rows={shown.rows} />
        </>
      )}
      {!shown && <RosterHelp />}
    </>
  );
}

const MOST_SHOWN = 400;

/** Refused rows first, since they are what needs a hand. */
function PreviewRows({ rows }: { rows: PreviewRow[] }) {
  const sorted = [
    ...rows.filter((row) => row.kind === "REFUSED"),
    ...rows.filter((row) => row.kind !== "REFUSED"),
  ];
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Rows of the file">
      <table className="w-full">
        <thead>
          <tr className="small soft border-base-content border-b-[1.5px] text-left">
            {["Line", "Name", "Class", "Instrument", "Division", "What happens"].map((heading) => (
              <th key={heading} scope="col" className="py-1 pr-4 font-normal">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sorted.slice(0, MOST_SHOWN).map((row) => (
            <tr
              key={row.line}
              className={clsx("border-b border-[var(--hairline)]", row.kind === "UNCHANGED" && "soft")}
            >
              <td className="soft py-1 pr-4">{row.line}</td>
              <Cell row={row} column="name" text={row.name} />
              <Cell row={row} column="class" text={row.className} />
              <Cell row={row} column="instrument" text={row.instrument} />
              <Cell row={row} column="division" text={row.division} />
              <td className={clsx("py-1", row.kind === "REFUSED" && "text-error font-semibold")}>
                {row.kind === "REFUSED" && <span>Not taken, {row.column}: </span>}
                {row.text}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {sorted.length > MOST_SHOWN && (
        <p className="small soft py-2">
          {sorted.length - MOST_SHOWN} more rows like these are not listed; all are taken.
        </p>
      )}
    </div>
  );
}

function Cell({ row, column, text }: { row: PreviewRow; column: string; text: string }) {
  const bad = row.kind === "REFUSED" && row.column === column;
  return (
    <td className={clsx("max-w-56 truncate py-1 pr-4", bad && "text-error font-semibold")}>
      {text || (bad ? "—" : "")}
    </td>
  );
}
