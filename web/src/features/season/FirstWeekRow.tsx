import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import type { KeyboardEvent } from "react";
import type { FirstWeeks } from "../../api/types";
import { shortDay, weekday } from "../../app/days";
import { instrumentsQuery } from "../../app/queries";
import { topicNames } from "../library/starterShelf";
import { byTopic, minutesOf, type FirstThing } from "./firstWeeks";

/** One week: its minutes, and what stands in it by topic; a thing moves by its arrows or by the arrow keys. */
export function FirstWeekRow({
  week,
  things,
  first,
  last,
  onMove,
  onDrop,
}: {
  week: FirstWeeks["weeks"][number];
  things: readonly FirstThing[];
  first: boolean;
  last: boolean;
  onMove: (orderId: string, step: number) => void;
  onDrop: (thing: FirstThing) => void;
}) {
  const wanted = minutesOf(things);
  const over = wanted > week.minutes;
  return (
    <li className="grid gap-x-5 gap-y-2 border-b border-[var(--hairline)] py-3 md:grid-cols-[8.5rem_1fr]">
      <div>
        <h2 className="text-[1.1rem]">{shortDay(week.monday)}</h2>
        <p className="small soft">
          {week.number ? `week ${week.number}, ` : ""}due {weekday(week.dueOn)}
        </p>
        <div className="bg-base-300 mt-1.5 h-1.5 rounded-full" aria-hidden>
          <div
            className={clsx("h-1.5 rounded-full", over ? "bg-[var(--now)]" : "bg-secondary")}
            style={{ width: `${Math.min(100, week.minutes ? (100 * wanted) / week.minutes : 100)}%` }}
          />
        </div>
        <p className={clsx("small", over ? "font-semibold" : "soft")}>
          {wanted} of {week.minutes} min{over && ", more than there is"}
        </p>
      </div>
      <div className="grid gap-1.5">
        {things.length === 0 && <p className="soft">Nothing in this week.</p>}
        {byTopic(things).map(([topic, members]) => (
          <div key={topic ?? "lines"} className="grid gap-x-3 sm:grid-cols-[7.5rem_1fr]">
            <span className="small soft pt-0.5">{topic ? topicNames[topic] : "Lines"}</span>
            <ul className="flex flex-wrap gap-1.5">
              {members.map((thing) => (
                <Thing
                  key={thing.orderId}
                  thing={thing}
                  first={first}
                  last={last}
                  onMove={(step) => onMove(thing.orderId, step)}
                  onDrop={() => onDrop(thing)}
                />
              ))}
            </ul>
          </div>
        ))}
      </div>
    </li>
  );
}

function Thing({
  thing,
  first,
  last,
  onMove,
  onDrop,
}: {
  thing: FirstThing;
  first: boolean;
  last: boolean;
  onMove: (step: number) => void;
  onDrop: () => void;
}) {
  const instruments = useQuery(instrumentsQuery);
  const names = thing.sections.map(
    (code) => instruments.data?.find((i) => i.code === code)?.name.toLowerCase() ?? code,
  );
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[event.key];
    if (step) onMove(step);
    else if (event.key === "Delete" || event.key === "Backspace") onDrop();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const press = "hover:bg-base-300 rounded px-1 disabled:opacity-30";
  return (
    <li
      title={thing.why}
      className="hairline flex items-center gap-0.5 rounded-lg border-[1.5px] py-0.5 pr-1 pl-2.5 text-[0.95rem]"
    >
      <button
        type="button"
        className="text-left"
        aria-label={[
          thing.title,
          names.length > 0 && `for ${names.join(", ")}`,
          thing.why,
          "arrow keys move it, Delete leaves it out",
        ]
          .filter(Boolean)
          .join("; ")}
        onKeyDown={onKey}
      >
        {thing.title}
        {names.length > 0 && names.length <= 2 && <span className="small soft"> {names.join(", ")}</span>}
        {names.length > 2 && <span className="small soft"> {names.length} sections</span>}
      </button>
      <button
        type="button"
        className={press}
        disabled={first}
        aria-label={`${thing.title} a week earlier`}
        onClick={() => onMove(-1)}
      >
        ↑
      </button>
      <button
        type="button"
        className={press}
        disabled={last}
        aria-label={`${thing.title} a week later`}
        onClick={() => onMove(1)}
      >
        ↓
      </button>
      <button type="button" className={press} aria-label={`Leave ${thing.title} out`} onClick={onDrop}>
        ×
      </button>
    </li>
  );
}
