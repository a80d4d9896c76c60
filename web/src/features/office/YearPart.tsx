import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { Problem, put } from "../../api/http";
import type { SchoolYear } from "../../api/types";
import { shortDay } from "../../app/days";
import { meQuery } from "../../app/queries";
import { Field } from "../../ui/Field";
import { Button, Failed, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import {
  bellPlaceOf,
  draftOf,
  entryOver,
  following,
  mondaysOf,
  placeOf,
  requestOf,
  type YearDraft,
} from "./yearDraft";
import { BellsTable } from "./BellsTable";
import { CalendarFile } from "./CalendarFile";
import { YearEntries } from "./YearEntries";
import { YearStrip } from "./YearStrip";
import { yearNow, yearsQuery } from "./years.queries";

/** The school year as the director types it: its days, the turn of its letters, breaks and flags. */
export function YearPart() {
  const years = useQuery(yearsQuery);
  const me = useQuery(meQuery);
  const [chosen, choose] = useState<string>();
  const [next, setNext] = useState<YearDraft>();
  if (years.isError) return <Failed error={years.error} again={() => void years.refetch()} />;
  if (!years.data) return <Skeleton rows={6} />;
  const now = yearNow(years.data, me.data?.today ?? "");
  const shown = years.data.find((year) => year.id === chosen) ?? now;
  const latest = years.data.at(-1);
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-2" role="group" aria-label="School years">
        {years.data.map((year) => (
          <Button
            key={year.id}
            small
            look={!next && year.id === shown?.id ? "primary" : "plain"}
            aria-pressed={!next && year.id === shown?.id}
            onClick={() => {
              setNext(undefined);
              choose(year.id);
            }}
          >
            {year.name}
          </Button>
        ))}
        {latest && !next && (
          <Button small look="quiet" onClick={() => setNext(following(latest))}>
            Begin the year after
          </Button>
        )}
      </div>
      {next ? (
        <Typing
          key={next.id}
          begun={next}
          onKept={(id) => {
            setNext(undefined);
            choose(id);
          }}
        />
      ) : (
        shown && <Typing key={shown.id} begun={draftOf(shown)} before={shown} onKept={choose} />
      )}
    </>
  );
}

function Typing({
  begun,
  before,
  onKept,
}: {
  begun: YearDraft;
  before?: SchoolYear;
  onKept: (id: string) => void;
}) {
  const client = useQueryClient();
  const toast = useToast();
  const [draft, setDraft] = useState(begun);
  const keep = useMutation({
    mutationFn: (typed: YearDraft) =>
      put<void>(at("/api/years/{yearId}", { yearId: typed.id }), requestOf(typed)),
    onSuccess: async (_, typed) => {
      await client.invalidateQueries();
      onKept(typed.id);
    },
  });
  const save = () =>
    keep.mutate(draft, {
      onSuccess: () =>
        toast(
          `${draft.name} is kept`,
          before &&
            (() => {
              const old = draftOf(before);
              setDraft(old);
              keep.mutate(old);
            }),
        ),
    });
  const refused = keep.error instanceof Problem ? keep.error : undefined;
  const place = placeOf(refused?.field);
  const bellPlace = bellPlaceOf(refused?.field);
  const told = (field: string) => (refused?.field === field ? refused.message : undefined);
  const elsewhere =
    keep.isError &&
    place === undefined &&
    bellPlace === undefined &&
    !["name", "firstDay", "lastDay", "rotation"].includes(refused?.field ?? "");
  const change = (part: Partial<YearDraft>) => setDraft((old) => ({ ...old, ...part }));
  return (
    <form
      noValidate
      aria-label={`School year ${draft.name}`}
      className="grid gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="grid items-start gap-4 sm:grid-cols-2 xl:grid-cols-4">
        <Field
          label="Name of the year"
          value={draft.name}
          error={told("name")}
          onChange={(e) => change({ name: e.target.value })}
        />
        <Field
          label="First day of school"
          type="date"
          value={draft.firstDay}
          error={told("firstDay")}
          onChange={(e) => change({ firstDay: e.target.value })}
        />
        <Field
          label="Last day of school"
          type="date"
          value={draft.lastDay}
          error={told("lastDay")}
          onChange={(e) => change({ lastDay: e.target.value })}
        />
        <Field
          label="Letters of the days in turn"
          hint="for example A B; none where every class meets every day"
          value={draft.letters}
          error={told("rotation")}
          onChange={(e) => change({ letters: e.target.value })}
        />
      </div>
      <YearStrip
        mondays={mondaysOf(draft.firstDay, draft.lastDay)}
        entries={draft.entries}
        onPut={(kind, from, to) =>
          change({
            entries: [...draft.entries, entryOver(kind, from, to, draft)].toSorted((a, b) =>
              a.firstDay.localeCompare(b.firstDay),
            ),
          })
        }
      />
      {draft.entries.length === 0 ? (
        <p className="soft">
          No breaks yet. Choose weeks above by dragging over them, or with the arrow keys and Shift, then
          press B.
        </p>
      ) : (
        <YearEntries
          entries={draft.entries}
          faulty={place}
          sentence={refused?.message}
          onChange={(entries) => change({ entries })}
        />
      )}
      <CalendarFile
        firstDay={draft.firstDay}
        lastDay={draft.lastDay}
        entries={draft.entries}
        onTake={(entries) => change({ entries })}
      />
      <BellsTable
        bells={draft.bells}
        faulty={bellPlace}
        sentence={refused?.message}
        onChange={(bells) => change({ bells })}
      />
      {elsewhere && (
        <p role="alert" className="text-error">
          {keep.error.message}
        </p>
      )}
      <div className="bg-base-100 sticky bottom-0 flex items-center gap-4 border-t border-[var(--hairline)] py-3">
        <Button look="primary" type="submit" disabled={keep.isPending}>
          Keep the year
        </Button>
        <span className="small soft">
          {before
            ? `Due days, podium and hearing times follow at once. Now kept: ${shortDay(before.firstDay)} to ${shortDay(before.lastDay)}.`
            : "A new year; nothing of the present one changes."}
        </span>
      </div>
    </form>
  );
}
