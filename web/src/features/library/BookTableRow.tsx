import clsx from "clsx";
import type { ClipboardEvent, KeyboardEvent } from "react";
import type { TableView } from "../../api/types";
import { Cell } from "../../ui/Field";
import { IconButton } from "../../ui/parts";
import { isEmpty, partNames, parts, type Part, type TableRow } from "./bookTable";

const widths: Record<Part, string> = {
  page: "w-20",
  number: "w-24",
  title: "min-w-52",
  key: "w-32",
  meter: "w-20",
  measures: "w-20",
  tempo: "w-20",
};

/** One line of the book, or one range of lines. */
export function BookTableRow({
  row,
  place,
  shown,
  names,
  told,
  badPart,
  onChange,
  onKey,
  onPaste,
  onDrop,
}: {
  row: TableRow;
  place: number;
  shown: readonly string[];
  names: ReadonlyMap<string, string>;
  told?: TableView["rows"][number];
  badPart?: string;
  onChange: (to: (row: TableRow) => TableRow) => void;
  onKey: (event: KeyboardEvent, row: number, column: number) => void;
  onPaste: (event: ClipboardEvent, row: number) => void;
  onDrop: () => void;
}) {
  const refused = told?.kind === "REFUSED";
  const bad = badPart ?? (refused ? told?.column : undefined);
  const cell = (column: number, label: string, value: string, part: string, put: (value: string) => void) => (
    <td key={label} className={clsx("pr-1.5 pb-1", widths[part as Part] ?? "min-w-36")}>
      <Cell
        aria-label={`${label}, row ${place + 1}`}
        aria-invalid={bad === part}
        data-cell={`${place}/${column}`}
        value={value}
        className={clsx(bad === part && "border-error")}
        onChange={(e) => put(e.target.value)}
        onKeyDown={(e) => onKey(e, place, column)}
        onPaste={(e) => onPaste(e, place)}
      />
    </td>
  );
  return (
    <tr>
      {parts.map((part, i) =>
        cell(i, partNames[part], row.cells[part], part, (value) =>
          onChange((old) => ({ ...old, cells: { ...old.cells, [part]: value } })),
        ),
      )}
      {shown.map((code, i) =>
        cell(parts.length + i, `New for ${names.get(code) ?? code}`, row.news[code] ?? "", "news", (value) =>
          onChange((old) => ({ ...old, news: { ...old.news, [code]: value } })),
        ),
      )}
      <td className={clsx("small min-w-40", refused ? "text-error font-semibold" : "soft")}>
        {!isEmpty(row) && told && (
          <span className="flex items-center gap-1">
            {told.text}
            <IconButton label={`Take row ${place + 1} away`} onPress={onDrop}>
              ×
            </IconButton>
          </span>
        )}
      </td>
    </tr>
  );
}
