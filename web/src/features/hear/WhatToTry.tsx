import { at } from "../../api/at";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useEffect, useState } from "react";
import { v7 as newId } from "uuid";
import type { NoteHelped, Player } from "../../api/types";
import { shortDay } from "../../app/days";
import { useScope } from "../../app/scope";
import { Button } from "../../ui/parts";
import { checkQuery, helpedQuery } from "../library/checks.queries";
import { outbox } from "./outbox";
import { helpedBefore, mostHelped, remediesOf } from "./whatToTry";

interface Props {
  milestoneId: string;
  player: Player;
}

/** From symptom to remedy: what to try in order, what helped this student, and what helps this section most often. */
export function WhatToTry({ milestoneId, player }: Props) {
  const { scope } = useScope();
  const client = useQueryClient();
  const described = useQuery(checkQuery(milestoneId));
  const helped = useQuery(helpedQuery(milestoneId, scope));
  const [sign, setSign] = useState<string>();
  /** What was tapped just now, with its id; null where it was taken back. */
  const [tapped, setTapped] = useState<ReadonlyMap<string, string | null>>(new Map());
  useEffect(
    () => outbox.onRecorded(() => void client.invalidateQueries({ queryKey: ["progress", "helped"] })),
    [client],
  );
  if (!described.data) return null;
  const { check } = described.data;
  const most = mostHelped(helped.data, 3);
  const keyOf = (remedy: string) => `${player.studentId}|${sign}|${remedy}`;
  const toggle = (remedy: string, before: string | undefined) => {
    const key = keyOf(remedy);
    const id = tapped.get(key) ?? before;
    if (id && tapped.get(key) !== null) {
      setTapped((all) => new Map(all).set(key, null));
      outbox.add({
        id: newId(),
        kind: "takeBack",
        label: `${player.name}, taken back: ${remedy}`,
        path: at("/api/helped/{helpedId}", { helpedId: id }),
      });
      return;
    }
    const made = newId();
    setTapped((all) => new Map(all).set(key, made));
    outbox.add({
      id: made,
      kind: "note",
      label: `${player.name}, helped: ${remedy}`,
      path: at("/api/checks/{milestoneId}/helped", { milestoneId }),
      body: {
        id: made,
        studentId: player.studentId,
        classId: player.classId,
        sign: sign ?? "",
        remedy,
      } satisfies NoteHelped,
    });
  };
  return (
    <section aria-label="What to try" className="mt-5">
      {check.cautions.length > 0 && (
        <p className="small mb-2 border-l-[3.5px] border-[var(--now)] pl-3">{check.cautions.join(" ")}</p>
      )}
      <h3 className="mb-1.5 font-sans font-semibold">What do you see or hear of {player.name}?</h3>
      <div className="flex flex-wrap gap-2">
        {check.faults.map((fault) => (
          <button
            key={fault.sign}
            type="button"
            aria-pressed={sign === fault.sign}
            onClick={() => setSign(sign === fault.sign ? undefined : fault.sign)}
            className="hairline aria-pressed:bg-neutral aria-pressed:text-neutral-content aria-pressed:border-neutral min-h-10 rounded-full border-[1.5px] px-3.5 py-1"
          >
            {fault.sign}
          </button>
        ))}
      </div>
      {sign && (
        <ol aria-label={`To try against ${sign}`} className="mt-3 max-w-2xl">
          {remediesOf(check, sign).map((remedy, i) => {
            const before = helpedBefore(helped.data, player.studentId, sign, remedy);
            const now = tapped.get(keyOf(remedy));
            const on = now !== null && (now !== undefined || before !== undefined);
            return (
              <li
                key={remedy}
                className="grid grid-cols-[1.6rem_1fr_auto] items-center gap-x-2 border-b border-[var(--hairline)] py-1.5"
              >
                <span className="display text-lg">{i + 1}</span>
                <span>
                  {remedy}
                  {before && now === undefined && (
                    <span className="small soft block">helped {shortDay(before.helpedOn)}</span>
                  )}
                </span>
                <Button
                  small
                  aria-pressed={on}
                  aria-label={`${remedy}: helped`}
                  className={clsx("min-h-10", on && "bg-neutral! text-neutral-content! border-neutral!")}
                  onClick={() => toggle(remedy, before?.id)}
                >
                  {on ? "helped ✓" : "helped"}
                </Button>
              </li>
            );
          })}
        </ol>
      )}
      {most.length > 0 && (
        <p className="small mt-3">
          <span className="soft">Helped most often in this section: </span>
          {most.map((m) => `${m.remedy} (${m.sign.toLowerCase()}, ${m.students} of the section)`).join(" · ")}
        </p>
      )}
    </section>
  );
}
