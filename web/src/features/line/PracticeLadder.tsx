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
import { draftOf, heardFor, silentSteps } from "./line";
import {
  groupSizes,
  habitNames,
  keptLadderQuery,
  ladderQuery,
  themeNames,
  type Habit,
  type Theme,
} from "./line.queries";
import { LadderRun } from "./LadderRun";

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
  const [theme, setTheme] = useState<Theme>();
  const [groupSize, setGroupSize] = useState<number>();
  const [running, setRunning] = useState(false);
  const kept = useQuery(keptLadderQuery(lineId, instrument, scope.classId));
  const proposed = useQuery({
    ...ladderQuery({
      lineId,
      instrument,
      classId: scope.classId,
      division: scope.division,
      habit,
      theme,
      groupSize,
      minutes,
    }),
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
          {shown && (
            <Button small onClick={() => setRunning(!running)}>
              {running ? "Back to the steps" : "Rehearse it"}
            </Button>
          )}
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
      {!own && !running && (
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
          <select
            aria-label="Theme"
            className="select select-sm hairline bg-base-100 w-52 border-[1.5px] text-[0.95rem]"
            value={theme ?? ""}
            onChange={(event) => setTheme((event.target.value || undefined) as Theme | undefined)}
          >
            <option value="">By its hard spots</option>
            {Object.entries(themeNames).map(([name, words]) => (
              <option key={name} value={name}>
                {words}
              </option>
            ))}
          </select>
          {!theme && (
            <label className="flex items-center gap-2 text-[0.95rem]">
              <span className="soft">groups of</span>
              <select
                aria-label="Notes in a group"
                className="select select-sm hairline bg-base-100 w-16 border-[1.5px]"
                value={groupSize ?? 4}
                onChange={(event) => setGroupSize(Number(event.target.value))}
              >
                {groupSizes.map((size) => (
                  <option key={size} value={size}>
                    {size}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
      )}
      {(proposed.isError || kept.isError) && <Failed error={(proposed.error ?? kept.error)!} />}
      {keep.isError && <Failed error={keep.error} />}
      {forget.isError && <Failed error={forget.error} />}
      {!own && proposed.data?.nothingOfIt && <p className="mb-1">{proposed.data.nothingOfIt}</p>}
      {running && shown ? (
        <LadderRun ladder={shown} onDone={() => setRunning(false)} />
      ) : own && director ? (
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
            {heardFor(ladder, i) && <span className="soft block">{heardFor(ladder, i)}</span>}
          </span>
          <span className="soft">{silentSteps.has(step.kind) ? "" : `♩ = ${step.tempoBpm}`}</span>
          <span className="soft text-right">{duration(step.seconds)}</span>
        </li>
      ))}
    </ol>
  );
}
