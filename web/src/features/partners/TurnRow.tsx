import { useState } from "react";
import type { PartnerCheck } from "../../api/types";
import { Button } from "../../ui/parts";

interface Props {
  turn: PartnerCheck["groups"][number]["turns"][number];
  watch: readonly string[];
  /** Points not seen, noted just now; undefined while nothing is. */
  noted: readonly string[] | undefined;
  onNote: (notSeen: readonly string[]) => void;
}

/** One turn: who plays, who watches, and what was not seen. */
export function TurnRow({ turn, watch, noted, onNote }: Props) {
  const [missed, setMissed] = useState<ReadonlySet<string>>(new Set());
  const [again, setAgain] = useState(false);
  const toggle = (point: string) =>
    setMissed((all) => {
      const next = new Set(all);
      if (!next.delete(point)) next.add(point);
      return next;
    });
  const found =
    noted !== undefined
      ? noted.length === 0
        ? "all seen"
        : `not seen: ${noted.join(", ")}`
      : turn.found === "PASS"
        ? "all seen"
        : turn.found && (turn.note?.split("; ")[1] ?? "not seen");
  return (
    <div className="border-b border-[var(--hairline)] py-1.5 last:border-b-0">
      <p>
        <b>{turn.plays.name}</b> plays,{" "}
        <span className="soft">{turn.watch.map((w) => w.name).join(" and ")} watching</span>
      </p>
      <ul className="hidden print:block">
        {watch.map((point, i) => (
          <li key={point}>
            ☐ {i + 1} {point}
          </li>
        ))}
      </ul>
      {found && !again ? (
        <p className="no-print flex items-center gap-3">
          <span className="font-semibold">{found}</span>
          <button type="button" className="small soft underline" onClick={() => setAgain(true)}>
            note again
          </button>
        </p>
      ) : (
        <div
          className="no-print mt-1 flex flex-wrap items-center gap-1.5"
          role="group"
          aria-label={`Seen of ${turn.plays.name}`}
        >
          {watch.map((point, i) => (
            <button
              key={point}
              type="button"
              aria-pressed={missed.has(point)}
              aria-label={`${turn.plays.name}: not seen, ${point}`}
              title={point}
              onClick={() => toggle(point)}
              className="hairline aria-pressed:bg-neutral aria-pressed:text-neutral-content aria-pressed:border-neutral size-11 rounded-lg border-[1.5px] font-semibold"
            >
              {missed.has(point) ? "×" : i + 1}
            </button>
          ))}
          <Button
            className="ml-auto"
            onClick={() => {
              onNote(watch.filter((point) => missed.has(point)));
              setAgain(false);
            }}
          >
            {missed.size === 0 ? "All seen" : `${missed.size} not seen`}
          </Button>
        </div>
      )}
    </div>
  );
}
