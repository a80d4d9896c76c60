import { useRef, useState } from "react";
import type { Run } from "../../api/types";
import { Cell } from "../../ui/Field";
import { Button, Empty } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { pointsTyped } from "../written/written";
import type { useRun } from "./useRun";

/** Points of a written check for a whole class: a number for each, Enter goes on, one press records them all. */
export function PointsGrid({ run, live }: { run: Run; live: ReturnType<typeof useRun> }) {
  const toast = useToast();
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(new Map());
  const fields = useRef(new Map<string, HTMLInputElement>());
  const top = run.milestone.criteria[0]?.topPoints ?? 0;
  const open = run.players.filter((player) => live.state.queue.includes(player.studentId));
  const points = pointsTyped(typed, top);
  const wrong = open.filter(
    (player) => (typed.get(player.studentId) ?? "").trim() !== "" && !points.has(player.studentId),
  );
  const record = () => {
    const passes = run.milestone.passMark ?? 0;
    live.recordSection(
      new Map([...points].map(([id, number]) => [id, number >= passes ? "PASS" : "NOT_YET"])),
      (id) => [{ ordinal: 1, points: points.get(id) ?? 0 }],
    );
    setTyped(new Map());
    toast(`Recorded for ${counted(points.size, "student")}`);
  };
  if (open.length === 0) return <Empty>Everybody has handed it in.</Empty>;
  return (
    <section aria-label="Points">
      <p className="mb-2">
        Points of {top}, {run.milestone.passMark} pass; leave empty who has not handed it in.
      </p>
      <ul className="gap-x-10 md:columns-2">
        {open.map((player, i) => (
          <li
            key={player.studentId}
            className="flex items-center justify-between gap-3 border-b border-[var(--hairline)] py-1"
          >
            <label htmlFor={`points-${player.studentId}`}>
              {player.name} <span className="small soft">{player.instrumentName.toLowerCase()}</span>
            </label>
            <Cell
              id={`points-${player.studentId}`}
              aria-label={`Points of ${player.name}`}
              inputMode="numeric"
              className="!w-16 text-center"
              aria-invalid={wrong.includes(player)}
              value={typed.get(player.studentId) ?? ""}
              ref={(field: HTMLInputElement | null) => {
                if (field) fields.current.set(player.studentId, field);
              }}
              onChange={(event) => {
                const text = event.target.value;
                setTyped((all) => new Map(all).set(player.studentId, text));
              }}
              onKeyDown={(event) => {
                if (event.key !== "Enter") return;
                event.preventDefault();
                const next = open[i + 1];
                if (next) fields.current.get(next.studentId)?.focus();
                else event.currentTarget.blur();
              }}
            />
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <p className="text-error grow font-semibold" role={wrong.length > 0 ? "alert" : undefined}>
          {wrong.length > 0 &&
            `${wrong.map((player) => player.name).join(", ")}: a whole number from 0 to ${top}.`}
        </p>
        <Button look="primary" disabled={points.size === 0 || wrong.length > 0} onClick={record}>
          Record {points.size > 0 ? counted(points.size, "student") : ""}
        </Button>
      </div>
    </section>
  );
}
