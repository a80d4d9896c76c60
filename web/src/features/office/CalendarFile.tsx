import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { at } from "../../api/at";
import { postForm } from "../../api/http";
import type { CalendarRead } from "../../api/types";
import { shortDay } from "../../app/days";
import { looks } from "../../ui/looks";
import { Band, Button, Failed } from "../../ui/parts";
import { counted } from "../../ui/words";
import { isIn, kindWords, withProposals, type EntryDraft, type EntryKind } from "./yearDraft";

/** Choose a calendar file, look at what its events would be, put those wanted into the year. */
export function CalendarFile({
  firstDay,
  lastDay,
  entries,
  onTake,
}: {
  firstDay: string;
  lastDay: string;
  entries: readonly EntryDraft[];
  onTake: (entries: EntryDraft[]) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [kinds, setKinds] = useState<Record<number, EntryKind | "">>({});
  const read = useMutation({
    mutationFn: (file: File) => {
      const form = new FormData();
      form.append("file", file);
      return postForm<CalendarRead>(at("/api/years/calendar-file", {}, { firstDay, lastDay }), form);
    },
    onSuccess: () => setKinds({}),
  });
  const kindAt = (i: number): EntryKind | "" => {
    const one = read.data!.proposals[i]!;
    return kinds[i] ?? (one.within || isIn(entries, one) ? "" : (one.kind ?? ""));
  };
  const chosen = (read.data?.proposals ?? []).flatMap((one, i) => {
    const kind = kindAt(i);
    return kind ? [{ ...one, kind }] : [];
  });
  return (
    <div>
      <input
        ref={input}
        type="file"
        accept=".ics,text/calendar"
        className="sr-only"
        aria-label="Calendar file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) read.mutate(file);
          event.target.value = "";
        }}
      />
      <Button small disabled={read.isPending} onClick={() => input.current?.click()}>
        {read.isPending ? "Reading…" : "From a calendar file (.ics)"}
      </Button>
      {read.isError && <Failed error={read.error} />}
      {read.data && (
        <section aria-label="What the calendar would be" className="mt-3">
          <Band label="From the calendar">
            <p className="grow" role="status">
              {counted(read.data.proposals.length, "event")} within the year
              {read.data.outside > 0 && `, ${read.data.outside} outside it`}
              {read.data.unread > 0 && `, ${read.data.unread} without a day that can be read`}. Choose what
              each is; nothing is kept before you keep the year.
            </p>
            <Button small onClick={() => read.reset()}>
              Leave it
            </Button>
            <Button
              small
              look="primary"
              disabled={chosen.length === 0}
              onClick={() => {
                onTake(withProposals(entries, chosen));
                read.reset();
              }}
            >
              Put {chosen.length} into the year
            </Button>
          </Band>
          <ul className="mt-2" aria-label="Events">
            {read.data.proposals.map((one, i) => (
              <li
                key={`${one.name}${one.firstDay}${i}`}
                className="grid grid-cols-[9.5rem_1fr_auto] items-center gap-x-3 border-b border-[var(--hairline)] py-1"
              >
                <select
                  aria-label={`What ${one.name} is`}
                  className={looks.smallSelect}
                  value={kindAt(i)}
                  onChange={(e) => setKinds({ ...kinds, [i]: e.target.value as EntryKind | "" })}
                >
                  <option value="">leave out</option>
                  {Object.entries(kindWords).map(([kind, words]) => (
                    <option key={kind} value={kind}>
                      {words}
                    </option>
                  ))}
                </select>
                <span>
                  {one.name}
                  {one.within && <span className="soft small"> within {one.within}</span>}
                  {isIn(entries, one) && <span className="soft small"> there already</span>}
                </span>
                <span className="soft small">
                  {shortDay(one.firstDay)}
                  {one.lastDay !== one.firstDay && ` – ${shortDay(one.lastDay)}`}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
