import clsx from "clsx";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import type { Finding, HabitLook, PodiumClass } from "../../api/types";
import { StudentName } from "../../app/StudentName";
import { outbox } from "../hear/outbox";

interface Props {
  watch: PodiumClass["watch"];
  classId: string;
  on: string;
  search: string;
}

const findings: [Exclude<Finding, "TAKEN_BACK">, string][] = [
  ["STILL_THERE", "still there"],
  ["SLIPPING", "slipping"],
  ["LOST", "lost"],
];

/** Today's two or three to look at while the others play: one tap says what is seen, the same tap takes it back. */
export function HabitWatchList({ watch, classId, on, search }: Props) {
  /** What was tapped just now, until it is read again. */
  const [tapped, setTapped] = useState<ReadonlyMap<string, Finding>>(new Map());
  const look = (one: Props["watch"][number], finding: Finding) => {
    setTapped((all) => new Map(all).set(one.studentId, finding));
    const id = newId();
    outbox.add({
      id,
      kind: "note",
      label: `${one.name}, ${finding === "TAKEN_BACK" ? "look taken back" : findings.find(([f]) => f === finding)![1]}`,
      path: at("/api/habits/looks"),
      body: {
        id,
        studentId: one.studentId,
        milestoneId: one.milestoneId,
        classId,
        on,
        finding,
      } satisfies HabitLook,
    });
  };
  return (
    <ul>
      {watch.map((one) => {
        const found = tapped.get(one.studentId) ?? one.found;
        return (
          <li
            key={one.studentId}
            className="grid items-center gap-x-3 border-b border-[var(--hairline)] py-[2px] text-[0.94rem] sm:grid-cols-[minmax(0,10rem)_minmax(0,1fr)_auto]"
          >
            <StudentName
              className="font-semibold"
              studentId={one.studentId}
              name={one.name}
              search={search}
            />
            <span className="min-w-0 truncate" title={one.see.join(" · ")}>
              {one.title}
              <span className="soft">
                {one.slipping && ", was slipping"}: {one.see.map((see) => see.toLowerCase()).join(" · ")}
              </span>
            </span>
            <span role="group" aria-label={`What is seen of ${one.name}`} className="flex gap-1">
              {findings.map(([finding, words]) => (
                <button
                  key={finding}
                  type="button"
                  aria-pressed={found === finding}
                  onClick={() => look(one, found === finding ? "TAKEN_BACK" : finding)}
                  className={clsx(
                    "min-h-7 rounded-lg border-[1.5px] px-2 text-[0.84rem] [@media(pointer:coarse)]:min-h-10",
                    found === finding
                      ? "border-base-content bg-neutral text-neutral-content"
                      : "hairline hover:bg-base-200",
                  )}
                >
                  {words}
                </button>
              ))}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
