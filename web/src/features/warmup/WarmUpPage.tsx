import { at } from "../../api/at";
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { put, remove } from "../../api/http";
import type { WarmUpDraft } from "../../api/types";
import { useScope } from "../../app/scope";
import { Button, Empty, Failed, Heading, MinutesSlider, Skeleton } from "../../ui/parts";
import { PartMusic } from "./PartMusic";
import { WarmUpParts } from "./WarmUpParts";
import { draftOf, minutesWords } from "./warmUp";
import { warmUpQuery } from "./warmUp.queries";

/** What the class opens with: proposed from the week's lines, to be changed and kept, written out and played. */
export function WarmUpPage({ director }: { director: boolean }) {
  const { scope, week } = useScope();
  const client = useQueryClient();
  const [minutes, setMinutes] = useState(8);
  const [chosen, setChosen] = useState(0);
  const plan = useQuery({ ...warmUpQuery(scope.classId, week, minutes), placeholderData: keepPreviousData });
  const address = at("/api/warm-up", {}, { classId: scope.classId, week });
  const anew = () => client.invalidateQueries({ queryKey: ["season", "warm-up"] });
  const keep = useMutation({
    mutationFn: (draft: WarmUpDraft) => put<void>(address, draft),
    onSuccess: anew,
  });
  const forget = useMutation({ mutationFn: () => remove(address), onSuccess: anew });
  if (!scope.classId) return <Empty>Choose a class at the left for its warm-up.</Empty>;
  if (plan.isError) return <Failed error={plan.error} again={() => void plan.refetch()} />;
  if (!plan.data) return <Skeleton rows={9} />;
  const { parts, kept } = plan.data;
  const place = Math.min(chosen, parts.length - 1);
  const part = parts[place];
  return (
    <>
      <Heading
        title="Warm-up"
        words={`${plan.data.className} · ${minutesWords(plan.data.minutes)}${kept ? ", as you put it" : ", proposed from the week’s lines"}`}
      >
        {director && kept && <Button onClick={() => forget.mutate()}>Back to the proposal</Button>}
        {director && !kept && (
          <Button look="primary" onClick={() => keep.mutate(draftOf(plan.data))}>
            Keep and edit
          </Button>
        )}
      </Heading>
      {(keep.isError || forget.isError) && <Failed error={(keep.error ?? forget.error)!} />}
      {!kept && (
        <div className="mb-3">
          <MinutesSlider minutes={minutes} most={20} onMinutes={setMinutes} />
        </div>
      )}
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <WarmUpParts
          plan={plan.data}
          chosen={place}
          onChoose={setChosen}
          onChange={director && kept ? (next) => keep.mutate({ parts: next }) : undefined}
        />
        {part && <PartMusic classId={scope.classId} week={week} part={part} instrument={scope.instrument} />}
      </div>
    </>
  );
}
