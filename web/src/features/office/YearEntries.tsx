import { Cell } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { IconButton } from "../../ui/parts";
import { kindWords, periodsOf, takesPeriods, type EntryDraft, type EntryKind } from "./yearDraft";

/** Breaks and flags by day, each to be typed over. */
export function YearEntries({
  entries,
  faulty,
  sentence,
  onChange,
}: {
  entries: readonly EntryDraft[];
  /** Place of the entry a refusal is about. */
  faulty?: number;
  sentence?: string;
  onChange: (entries: EntryDraft[]) => void;
}) {
  const change = (key: string, part: Partial<EntryDraft>) =>
    onChange(entries.map((entry) => (entry.key === key ? { ...entry, ...part } : entry)));
  return (
    <ul className="grid gap-2" aria-label="Breaks and flags">
      {entries.map((entry, i) => {
        const which = `${entry.name || kindWords[entry.kind]}`;
        return (
          <li key={entry.key}>
            <div className="grid grid-cols-2 items-center gap-2 md:grid-cols-[9.5rem_1fr_9rem_10rem_10rem_auto]">
              <select
                aria-label={`What ${which} is`}
                className={looks.smallSelect}
                value={entry.kind}
                onChange={(e) => change(entry.key, { kind: e.target.value as EntryKind })}
              >
                {Object.entries(kindWords).map(([kind, words]) => (
                  <option key={kind} value={kind}>
                    {words}
                  </option>
                ))}
              </select>
              <Cell
                aria-label={`Name of ${which}`}
                aria-invalid={faulty === i}
                value={entry.name}
                onChange={(e) => change(entry.key, { name: e.target.value })}
              />
              {takesPeriods(entry.kind) ? (
                <Cell
                  aria-label={`Periods that ${which} takes`}
                  placeholder="takes periods, 1 3"
                  defaultValue={entry.periods?.join(" ") ?? ""}
                  onChange={(e) => change(entry.key, { periods: periodsOf(e.target.value) })}
                />
              ) : (
                <span className="hidden md:block" />
              )}
              <Cell
                type="date"
                aria-label={`First day of ${which}`}
                value={entry.firstDay}
                onChange={(e) => change(entry.key, { firstDay: e.target.value })}
              />
              <Cell
                type="date"
                aria-label={`Last day of ${which}`}
                value={entry.lastDay}
                onChange={(e) => change(entry.key, { lastDay: e.target.value })}
              />
              <IconButton
                label={`Take away ${which}`}
                onPress={() => onChange(entries.filter((other) => other.key !== entry.key))}
              >
                ×
              </IconButton>
            </div>
            {faulty === i && (
              <p role="alert" className="small text-error mt-1 font-semibold">
                {sentence}
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}
