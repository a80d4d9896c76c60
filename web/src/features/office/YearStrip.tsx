import clsx from "clsx";
import { useRef, useState, type KeyboardEvent } from "react";
import { addDays, monthName, span } from "../../app/days";
import { Button, Kbd } from "../../ui/parts";
import { inWeek, kindWords, shareOf, type EntryDraft, type EntryKind } from "./yearDraft";

const keys: Record<string, EntryKind> = {
  b: "BREAK",
  t: "TESTING",
  c: "CONCERT",
  f: "FESTIVAL",
  l: "LOST_DAY",
  a: "ASSEMBLY",
  s: "SHORT_DAY",
  m: "MARKING_PERIOD",
};

/** The weeks of the year in a row: chosen by pointer or arrow keys, then made a break or given a flag. */
export function YearStrip({
  mondays,
  entries,
  onPut,
}: {
  mondays: readonly string[];
  entries: readonly EntryDraft[];
  onPut: (kind: EntryKind, from: string, to: string) => void;
}) {
  const [[anchor, head], choose] = useState<readonly [number, number]>([0, 0]);
  const cells = useRef<(HTMLButtonElement | null)[]>([]);
  const last = mondays.length - 1;
  const [from, to] = [Math.min(anchor, head, last), Math.min(Math.max(anchor, head), last)];
  const put = (kind: EntryKind) => onPut(kind, mondays[from]!, mondays[to]!);
  const go = (event: KeyboardEvent) => {
    const kind = event.ctrlKey || event.metaKey || event.altKey ? undefined : keys[event.key.toLowerCase()];
    const step = { ArrowRight: 1, ArrowLeft: -1, Home: -last, End: last }[event.key];
    if (kind) put(kind);
    else if (step !== undefined) {
      const at = Math.max(0, Math.min(last, head + step));
      choose([event.shiftKey ? anchor : at, at]);
      cells.current[at]?.focus();
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  if (mondays.length === 0) return null;
  return (
    <div className="grid gap-2">
      <div
        role="group"
        aria-label="Weeks of the year"
        className="flex touch-none overflow-x-auto pb-1 [user-select:none]"
      >
        {mondays.map((monday, i) => {
          const here = inWeek(entries, monday);
          const chosen = i >= from && i <= to;
          const month = i === 0 || monthName(monday) !== monthName(mondays[i - 1]!);
          return (
            <div key={monday} className="min-w-[18px] flex-1">
              <span className="small soft block h-5 overflow-visible whitespace-nowrap">
                {month ? monthName(monday) : ""}
              </span>
              <button
                type="button"
                ref={(cell) => {
                  cells.current[i] = cell;
                }}
                tabIndex={i === Math.min(head, last) ? 0 : -1}
                aria-pressed={chosen}
                aria-label={[span(monday, addDays(monday, 4)), ...here.map((entry) => entry.name)].join(", ")}
                className={clsx(
                  "relative h-12 w-full border-l border-current",
                  chosen && "bg-[var(--now)]/40",
                )}
                onKeyDown={go}
                onPointerDown={(event) => {
                  event.currentTarget.releasePointerCapture(event.pointerId);
                  choose([event.shiftKey ? anchor : i, i]);
                }}
                onPointerEnter={(event) => {
                  if (event.buttons === 1) choose([anchor, i]);
                }}
              >
                {here
                  .filter((entry) => entry.kind === "BREAK")
                  .map((entry) => {
                    const [first, end] = shareOf(entry, monday);
                    return (
                      <span
                        key={entry.key}
                        className="bg-base-content absolute top-1/2 h-2.5 -translate-y-1/2"
                        style={{ left: `${first * 20 + 4}%`, right: `${(5 - end) * 20 + 4}%` }}
                      />
                    );
                  })}
                {here
                  .filter((entry) => entry.kind !== "BREAK")
                  .slice(0, 3)
                  .map((entry, n) => (
                    <span
                      key={entry.key}
                      className="text-primary absolute left-1/2 -translate-x-1/2 text-xs leading-none font-bold"
                      style={{ top: 3 + n * 14 }}
                    >
                      {kindWords[entry.kind].charAt(0)}
                    </span>
                  ))}
              </button>
            </div>
          );
        })}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <span className="soft mr-1">
          {span(mondays[from]!, addDays(mondays[to]!, 4))}
          {to > from && `, ${to - from + 1} weeks`}:
        </span>
        {Object.entries(keys).map(([key, kind]) => (
          <Button key={key} small onClick={() => put(kind)}>
            {kindWords[kind]} <Kbd>{key.toUpperCase()}</Kbd>
          </Button>
        ))}
      </div>
    </div>
  );
}
