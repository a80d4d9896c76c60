import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useState, type KeyboardEvent } from "react";
import type { FirstWeeks, WeekAsLeft } from "../../api/types";
import { shortDay, weekday } from "../../app/days";
import { instrumentsQuery } from "../../app/queries";
import { topicNames } from "../library/starterShelf";
import { byTopic, missedBy, ownWays, type FirstThing } from "./firstWeeks";

type Move = (orderIds: readonly string[], step: number) => void;
type Drop = (orderIds: readonly string[], name: string) => void;

/** One week: its minutes, and what stands in it by topic; a thing moves by its arrows or by the arrow keys. */
export function FirstWeekRow({
  week,
  things,
  look,
  first,
  last,
  onMove,
  onDrop,
}: {
  week: FirstWeeks["weeks"][number];
  things: readonly FirstThing[];
  look: WeekAsLeft;
  first: boolean;
  last: boolean;
  onMove: Move;
  onDrop: Drop;
}) {
  const wanted = look.minutesWanted;
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
            <Things members={members} look={look} first={first} last={last} onMove={onMove} onDrop={onDrop} />
          </div>
        ))}
      </div>
    </li>
  );
}

interface Edges {
  first: boolean;
  last: boolean;
  onMove: Move;
  onDrop: Drop;
}

/** The things of a topic: what sections do each in their own way moves together until it is opened. */
function Things({ members, look, ...edges }: { members: readonly FirstThing[]; look: WeekAsLeft } & Edges) {
  const [open, setOpen] = useState(false);
  const instruments = useQuery(instrumentsQuery);
  const namesOf = (thing: FirstThing) =>
    thing.sections.map((code) => instruments.data?.find((i) => i.code === code)?.name.toLowerCase() ?? code);
  const [alone, own] = ownWays(members);
  return (
    <ul className="flex flex-wrap gap-1.5">
      {(open ? members : alone).map((thing) => {
        const names = namesOf(thing);
        return (
          <Thing
            key={thing.orderId}
            title={thing.title}
            about={names.length > 2 ? `${names.length} sections` : names.join(", ")}
            label={[names.length > 0 && `for ${names.join(", ")}`, thing.why]}
            why={thing.why}
            missed={missedBy([thing], look)}
            orderIds={[thing.orderId]}
            {...edges}
          />
        );
      })}
      {!open && own.length > 0 && (
        <Thing
          title="by instrument"
          about={`${own.length} checks`}
          label={[own.map((thing) => thing.title).join(", "), "Enter opens it"]}
          why={own.map((thing) => thing.title).join("\n")}
          missed={missedBy(own, look)}
          orderIds={own.map((thing) => thing.orderId)}
          onOpen={() => setOpen(true)}
          {...edges}
        />
      )}
    </ul>
  );
}

function Thing({
  title,
  about,
  label,
  why,
  missed,
  orderIds,
  first,
  last,
  onMove,
  onDrop,
  onOpen,
}: {
  title: string;
  about: string;
  label: readonly (string | false | undefined)[];
  why?: string;
  missed?: string;
  orderIds: readonly string[];
  onOpen?: () => void;
} & Edges) {
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[event.key];
    if (step) onMove(orderIds, step);
    else if (event.key === "Delete" || event.key === "Backspace") onDrop(orderIds, title);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const press = "hover:bg-base-300 rounded px-1 disabled:opacity-30";
  return (
    <li
      title={why}
      className={clsx(
        "flex items-center gap-0.5 rounded-lg border-[1.5px] py-0.5 pr-1 pl-2.5 text-[0.95rem]",
        missed ? "border-[var(--now)]" : "hairline",
      )}
    >
      <button
        type="button"
        className="text-left"
        aria-expanded={onOpen ? false : undefined}
        aria-label={[
          title,
          ...label,
          missed && `too early, it needs ${missed}`,
          "arrow keys move it, Delete leaves it out",
        ]
          .filter(Boolean)
          .join("; ")}
        onClick={onOpen}
        onKeyDown={onKey}
      >
        {title}
        {about && <span className="small soft"> {about}</span>}
        {missed && <span className="small font-semibold"> before “{missed}”, which it needs</span>}
      </button>
      <button
        type="button"
        className={press}
        disabled={first}
        aria-label={`${title} a week earlier`}
        onClick={() => onMove(orderIds, -1)}
      >
        ↑
      </button>
      <button
        type="button"
        className={press}
        disabled={last}
        aria-label={`${title} a week later`}
        onClick={() => onMove(orderIds, 1)}
      >
        ↓
      </button>
      <button
        type="button"
        className={press}
        aria-label={`Leave ${title} out`}
        onClick={() => onDrop(orderIds, title)}
      >
        ×
      </button>
    </li>
  );
}
