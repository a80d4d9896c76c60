import type { Milestone } from "../../api/types";
import { Cell } from "../../ui/Field";
import type { CarryRow } from "./carries";
import { looks } from "../../ui/looks";

interface Props {
  rows: readonly CarryRow[];
  lines: readonly Milestone[];
  /** What the class calls its finger patterns. */
  patterns: readonly string[];
  onType: (key: string, change: Partial<CarryRow>) => void;
}

const columns = [
  ["place", "string, position or register", "Place"],
  ["pattern", "fingers close or apart", "Pattern"],
  ["drill", "what is done", "Drill"],
] as const;

/** The same check at another place for each section. Empty rows carry nothing. */
export function CarryTable({ rows, lines, patterns, onType }: Props) {
  return (
    <details>
      <summary className="cursor-pointer font-semibold">
        Each section at its own place{" "}
        <span className="small soft font-normal">line, position, pattern, drill</span>
      </summary>
      <datalist id="finger-patterns">
        {patterns.map((pattern) => (
          <option key={pattern} value={pattern} />
        ))}
      </datalist>
      <ul className="mt-2 grid gap-3">
        {rows.map((row) => (
          <li key={row.key} className="hairline border-t-[1.5px] pt-2">
            <div className="mb-1.5 grid grid-cols-[1fr_1fr] items-center gap-2">
              <b>{row.name}</b>
              <select
                aria-label={`Line for ${row.name}`}
                className={`${looks.smallSelect} w-full`}
                value={row.lineId}
                onChange={(event) => onType(row.key, { lineId: event.target.value })}
              >
                <option value="">no line</option>
                {lines.map((line) => (
                  <option key={line.id} value={line.id}>
                    {line.line?.book.split(", ").at(-1)} {line.shortName}, {line.title}
                  </option>
                ))}
              </select>
            </div>
            <div className="grid gap-2 sm:grid-cols-3">
              {columns.map(([field, placeholder, name]) => (
                <Cell
                  key={field}
                  aria-label={`${name} for ${row.name}`}
                  placeholder={placeholder}
                  maxLength={field === "drill" ? 200 : 120}
                  list={field === "pattern" ? "finger-patterns" : undefined}
                  value={row[field]}
                  onChange={(event) => onType(row.key, { [field]: event.target.value })}
                />
              ))}
            </div>
          </li>
        ))}
      </ul>
    </details>
  );
}
