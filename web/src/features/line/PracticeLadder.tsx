import { at } from "../../api/at";
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { put, remove } from "../../api/http";
import type { Ladder, LadderDraft } from "../../api/types";
import { duration } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Failed } from "../../ui/parts";
import { LadderEditor } from "./LadderEditor";
import { draftOf } from "./line";
import { keptLadderQuery, ladderQuery, type Habit, type Theme } from "./line.queries";
import { LadderSteps } from "./LadderSteps";
import { LadderWishes } from "./LadderWishes";
import { LadderRun } from "./LadderRun";
import { looks } from "../../ui/looks";

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
  const [asked, setAsked] = useSearchParams();
  const from = measureOf(asked.get("from"));
  const to = measureOf(asked.get("to"));
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
      from,
      to,
    }),
    placeholderData: keepPreviousData,
  });
  const key = keptLadderQuery(lineId, instrument, scope.classId).queryKey;
  const keep = useMutation({
    mutationFn: (draft: LadderDraft) =>
      put<Ladder>(
        at("/api/lines/{lineId}/ladders/{instrument}", { lineId, instrument }, { classId: scope.classId }),
        draft,
      ),
    onSuccess: (ladder) => client.setQueryData(key, ladder),
  });
  const forget = useMutation({
    mutationFn: () => remove(at("/api/lines/{lineId}/ladders/{instrument}", { lineId, instrument })),
    onSuccess: () => client.setQueryData(key, null),
  });
  // A passage asked for is worked out; what was kept is for the whole line.
  const own = from !== undefined && to !== undefined ? undefined : kept.data;
  const shown = own ?? proposed.data;
  return (
    <section aria-label="Practice ladder">
      <div className="mb-1 flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-lg">Practice ladder</h2>
        {from !== undefined && to !== undefined && (
          <button
            type="button"
            className="hairline rounded-full border-[1.5px] px-2.5"
            onClick={() =>
              setAsked((params) => {
                params.delete("from");
                params.delete("to");
                return params;
              })
            }
          >
            measures {from} to {to} <span aria-hidden>×</span>
            <span className="sr-only">back to the whole line</span>
          </button>
        )}
        {shown && <span className="small soft">takes {duration(shown.seconds)}</span>}
        <span className="ml-auto flex gap-2">
          <Link
            className={looks.smallButton}
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
        <LadderWishes
          minutes={minutes}
          onMinutes={setMinutes}
          wish={{ habit: habit ?? proposed.data?.habit, theme, groupSize }}
          onHabit={setHabit}
          onTheme={setTheme}
          onGroupSize={setGroupSize}
        />
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

/** A measure's number of the address; anything else is none. */
const measureOf = (text: string | null): number | undefined =>
  text && /^\d{1,4}$/.test(text) ? Number(text) : undefined;
