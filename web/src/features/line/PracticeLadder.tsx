import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { Link } from "react-router";
import { put, query, remove } from "../../api/http";
import type { Ladder, LadderDraft } from "../../api/types";
import { duration } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Failed, MinutesSlider } from "../../ui/parts";
import { LadderEditor } from "./LadderEditor";
import { draftOf, silentSteps } from "./line";
import { habitNames, keptLadderQuery, ladderQuery, type Habit } from "./line.queries";

interface Props {
  lineId: string;
  instrument: string;
  director: boolean;
}

/** The steps from slow fragments to the whole line, in the minutes left; or as the director put and kept them. */
export function PracticeLadder({ lineId, instrument, director }: Props) {
  const { scope, search } = useScope();
  const client = useQueryClient();
  const [minutes, setMinutes] = useState(8);
  const [habit, setHabit] = useState<Habit>();
  const kept = useQuery(keptLadderQuery(lineId, instrument, scope.classId));
  const proposed = useQuery({
    ...ladderQuery({ lineId, instrument, classId: scope.classId, habit, minutes }),
    placeholderData: keepPreviousData,
  });
  const key = keptLadderQuery(lineId, instrument, scope.classId).queryKey;
  const keep = useMutation({
    mutationFn: (draft: LadderDraft) =>
      put<Ladder>(`/api/lines/${lineId}/ladders/${instrument}${query({ classId: scope.classId })}`, draft),
    onSuccess: (ladder) => client.setQueryData(key, ladder),
  });
  const forget = useMutation({
    mutationFn: () => remove(`/api/lines/${lineId}/ladders/${instrument}`),
    onSuccess: () => client.setQueryData(key, null),
  });
  const own = kept.data;
  const shown = own ?? proposed.data;
  return (
    <section aria-label="Practice ladder">
      <div className="mb-1 flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-lg">Practice ladder</h2>
        {shown && <span className="small soft">takes {duration(shown.seconds)}</span>}
        <span className="ml-auto flex gap-2">
          <Link
            className="btn btn-sm btn-outline hairline"
            to={{ pathname: `/library/lines/${lineId}/card`, search: scopeSearch(search, {}) }}
          >
            Rehearsal card
          </Link>
          {director && !own && proposed.data && (
            <Button small onClick={() => keep.mutate(draftOf(proposed.data))}>
              Keep and edit
            </Button>
          )}
          {director && own && (
            <Button small onClick={() => forget.mutate()}>
              Back to the proposal
            </Button>
          )}
        </span>
      </div>
      {!own && (
        <div className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
          <MinutesSlider minutes={minutes} most={25} onMinutes={setMinutes} />
          <select
            aria-label="Rehearsal habit"
            className="select select-sm hairline bg-base-100 w-52 border-[1.5px] text-[0.95rem]"
            value={habit ?? proposed.data?.habit ?? "SPOTS_FIRST"}
            onChange={(event) => setHabit(event.target.value as Habit)}
          >
            {Object.entries(habitNames).map(([name, words]) => (
              <option key={name} value={name}>
                {words}
              </option>
            ))}
          </select>
        </div>
      )}
      {(proposed.isError || kept.isError) && <Failed error={(proposed.error ?? kept.error)!} />}
      {keep.isError && <Failed error={keep.error} />}
      {forget.isError && <Failed error={forget.error} />}
      {own && director ? (
        <LadderEditor ladder={own} busy={keep.isPending} onChange={(draft) => keep.mutate(draft)} />
      ) : (
        shown && <LadderSteps ladder={shown} faded={proposed.isPlaceholderData} />
      )}
      {!own && proposed.data && proposed.data.dropped.length > 0 && (
        <p className="small mt-2">
          <span className="soft">Dropped for want of minutes: </span>
          {proposed.data.dropped.map((step) => step.what).join(" · ")}
        </p>
      )}
    </section>
  );
}

/** The steps to read. */
export function LadderSteps({ ladder, faded }: { ladder: Ladder; faded?: boolean }) {
  return (
    <ol className={clsx(faded && "opacity-60")}>
      {ladder.steps.map((step, i) => (
        <li
          key={i}
          className="grid grid-cols-[1.6rem_1fr_4.5rem_4rem] items-baseline border-b border-[var(--hairline)] py-1"
        >
          <b>{i + 1}</b>
          <span>
            {step.what}
            {step.note && <span className="soft block">{step.note}</span>}
          </span>
          <span className="soft">{silentSteps.has(step.kind) ? "" : `♩ = ${step.tempoBpm}`}</span>
          <span className="soft text-right">{duration(step.seconds)}</span>
        </li>
      ))}
    </ol>
  );
}
