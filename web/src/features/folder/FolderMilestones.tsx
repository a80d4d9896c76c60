import clsx from "clsx";
import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Folder, FolderMilestone, FolderTry } from "../../api/types";
import { shortDay } from "../../app/days";
import { Button, Failed } from "../../ui/parts";
import { ProgressMark } from "../../ui/ProgressMark";
import { milestoneName } from "../hear/milestoneName";
import { CorrectTry } from "./CorrectTry";
import { moreDoneQuery, triesQuery } from "./folder.queries";
import { tryWords } from "./tryWords";

type OnInstrument = Folder["instruments"][number];

const isOpen = (m: FolderMilestone) => ["SET", "TRIED", "RECORDING_WAITING"].includes(m.standing.state);

/** Open ones first, as what is next; then what is done, latest first, a page at a time. */
export function FolderMilestones({ studentId, on }: { studentId: string; on: OnInstrument }) {
  const done = on.milestones.filter((m) => !isOpen(m));
  const [wanted, setWanted] = useState(false);
  const more = useInfiniteQuery({
    ...moreDoneQuery(studentId, on.instrument, done.length),
    enabled: wanted && on.moreDone > 0,
  });
  const further = more.data?.pages.flatMap((page) => page.milestones) ?? [];
  const left = on.moreDone - further.length;
  const groups = [
    { name: "Next", items: on.milestones.filter(isOpen) },
    { name: "Done", items: [...done, ...further] },
  ].filter((group) => group.items.length > 0);
  return (
    <div className={clsx("gap-x-10 gap-y-5", groups.length > 1 && "grid xl:grid-cols-2")}>
      {groups.map((group) => (
        <div key={group.name}>
          <h3 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">{group.name}</h3>
          <ul className={groups.length > 1 ? undefined : "gap-x-10 xl:columns-2"}>
            {group.items.map((m) => (
              <One key={m.milestoneId} studentId={studentId} instrument={on.instrument} m={m} />
            ))}
          </ul>
          {group.name === "Done" && left > 0 && (
            <Button
              small
              look="quiet"
              className="mt-1 -ml-3"
              disabled={more.isFetching}
              onClick={() => (wanted ? void more.fetchNextPage() : setWanted(true))}
            >
              {more.isFetching ? "Reading …" : `Show more of ${left} earlier`}
            </Button>
          )}
          {group.name === "Done" && more.isError && (
            <Failed error={more.error} again={() => void more.refetch()} />
          )}
        </div>
      ))}
    </div>
  );
}

function One({ studentId, instrument, m }: { studentId: string; instrument: string; m: FolderMilestone }) {
  const [all, setAll] = useState(false);
  const tries = useQuery({ ...triesQuery(studentId, m.milestoneId, instrument), enabled: all });
  return (
    <li className="grid break-inside-avoid grid-cols-[40px_1fr_auto] items-start gap-x-2 border-b border-[var(--hairline)] py-1.5">
      <ProgressMark {...m.standing} />
      <div className="min-w-0">
        <span className="font-semibold">{milestoneName(m)}</span>
        <ol className="small soft">
          {(tries.data ?? m.tries).map((t) => (
            <TryLine key={t.id} attempt={t} label={milestoneName(m)} />
          ))}
        </ol>
        {m.moreTries && !tries.data && (
          <Button
            small
            look="quiet"
            className="-ml-3"
            aria-label={`Earlier tries of ${milestoneName(m)}`}
            disabled={tries.isFetching}
            onClick={() => (tries.isError ? void tries.refetch() : setAll(true))}
          >
            {tries.isFetching ? "Reading …" : "Earlier tries"}
          </Button>
        )}
        {tries.isError && <Failed error={tries.error} />}
      </div>
      <span className="small soft whitespace-nowrap">
        {m.standing.passedOn ? shortDay(m.standing.passedOn) : m.dueOn ? `due ${shortDay(m.dueOn)}` : ""}
      </span>
    </li>
  );
}

function TryLine({ attempt: t, label }: { attempt: FolderTry; label: string }) {
  const [correcting, setCorrecting] = useState(false);
  const stands = !t.corrected && t.outcome !== "UNDONE";
  return (
    <li className={t.corrected ? "line-through decoration-1" : "group"}>
      {shortDay(t.heardOn)}: {tryWords(t)}
      {stands && !correcting && (
        <button
          type="button"
          className="ml-2 underline opacity-0 group-hover:opacity-100 focus:opacity-100 print:hidden [@media(hover:none)]:opacity-100"
          aria-label={`Correct the try of ${shortDay(t.heardOn)}`}
          onClick={() => setCorrecting(true)}
        >
          correct
        </button>
      )}
      {correcting && <CorrectTry attempt={t} label={label} onDone={() => setCorrecting(false)} />}
    </li>
  );
}
