import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { X } from "lucide-react";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { WrittenDraft } from "../../api/types";
import { libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Cell, Field, Tick } from "../../ui/Field";
import { Button, Failed, Heading, IconButton, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { milestoneName } from "../hear/milestoneName";
import { PartPicker } from "../playingtests/PartPicker";
import { without } from "../playingtests/testDraft";
import { askNames, asks, newWritten, usualMark } from "./written";
import { writtenQuery } from "./written.queries";

/** Making a written check from lines, or setting a paper of one's own. */
export function WrittenEditPage() {
  const { milestoneId = "" } = useParams();
  const library = useQuery(libraryQuery);
  const kept = useQuery(writtenQuery(milestoneId));
  if (kept.isError) return <Failed error={kept.error} again={() => void kept.refetch()} />;
  if (!library.data || (milestoneId && !kept.data)) return <Skeleton rows={8} />;
  const before = library.data.milestones.filter((one) => one.kind === "WRITTEN_CHECK").length;
  return (
    <WrittenForm
      key={milestoneId || "new"}
      milestoneId={milestoneId}
      version={kept.data?.version ?? 0}
      kept={kept.data?.draft ?? newWritten(before)}
    />
  );
}

interface Props {
  milestoneId: string;
  version: number;
  kept: WrittenDraft;
}

function WrittenForm({ milestoneId, version, kept }: Props) {
  const [draft, setDraft] = useState(kept);
  const library = useQuery(libraryQuery);
  const client = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const { search } = useScope();
  const put = (change: Partial<WrittenDraft>) => setDraft((now) => ({ ...now, ...change }));
  const made = draft.lineIds.length > 0;
  const scored = draft.topPoints !== undefined;
  const points = (count: number) => (scored ? { topPoints: count, mark: usualMark(count) } : {});
  const save = useMutation({
    mutationFn: async () => {
      if (!milestoneId)
        return (await post<{ milestoneId: string }>(at("/api/written-checks"), draft)).milestoneId;
      await post<void>(at("/api/written-checks/{milestoneId}", { milestoneId }), { version, draft });
      return milestoneId;
    },
    onSuccess: async (id) => {
      toast("On your shelf; print it, show it, or order it in Season");
      await client.invalidateQueries({ queryKey: ["library"] });
      await navigate({ pathname: `/library/written/${id}`, search: scopeSearch(search, {}) });
    },
  });
  const titles = new Map(library.data?.milestones.map((one) => [one.id, milestoneName(one)]));
  const number = "!w-16 text-center";
  return (
    <>
      <Heading title={milestoneId ? "Edit the written check" : "Make a written check"} />
      <form
        className="grid max-w-3xl gap-5"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <div className="grid items-start gap-4 sm:grid-cols-[1fr_9rem]">
          <Field
            label="Title"
            maxLength={90}
            value={draft.title}
            onChange={(event) => put({ title: event.target.value })}
          />
          <Field
            label="Short name"
            maxLength={16}
            value={draft.shortName}
            onChange={(event) => put({ shortName: event.target.value })}
          />
        </div>
        <fieldset>
          <legend className="mb-1.5 font-semibold">
            Made from these lines <span className="small soft font-normal">none for a paper of your own</span>
          </legend>
          <ul className="mb-2 flex flex-wrap gap-1.5">
            {draft.lineIds.map((id, i) => (
              <li key={id} className="hairline flex items-center gap-1 rounded-full border-[1.5px] pl-3">
                {titles.get(id) ?? "a line"}
                <IconButton
                  label={`Take ${titles.get(id) ?? "the line"} away`}
                  onPress={() => put({ lineIds: without(draft.lineIds, i) })}
                >
                  <X size={16} aria-hidden />
                </IconButton>
              </li>
            ))}
          </ul>
          <PartPicker
            onPick={(id) => !draft.lineIds.includes(id) && put({ lineIds: [...draft.lineIds, id] })}
          />
        </fieldset>
        {made && (
          <fieldset>
            <legend className="mb-1.5 font-semibold">What is asked</legend>
            <div className="grid gap-1.5 sm:grid-cols-2">
              {asks.map((ask) => (
                <Tick
                  key={ask}
                  label={askNames[ask]}
                  checked={draft.asks.includes(ask)}
                  onChange={(event) =>
                    put({
                      asks: event.target.checked
                        ? [...draft.asks, ask]
                        : draft.asks.filter((other) => other !== ask),
                    })
                  }
                />
              ))}
            </div>
            <p className="mt-2 flex flex-wrap items-center gap-1.5">
              <Cell
                aria-label="Questions"
                className={number}
                value={draft.questions}
                onChange={(event) => {
                  const questions = Number(event.target.value) || 0;
                  put({ questions, ...points(questions) });
                }}
              />
              questions, sheet number
              <Cell
                aria-label="Sheet number"
                className={number}
                value={draft.seed}
                onChange={(event) => put({ seed: Number(event.target.value) || 0 })}
              />
              <span className="small soft">the same number makes the same sheet</span>
            </p>
          </fieldset>
        )}
        <fieldset>
          <legend className="mb-1.5 font-semibold">Recorded as</legend>
          <Tick
            label="points"
            checked={scored}
            onChange={(event) => {
              const most = made ? draft.questions : 10;
              put(
                event.target.checked
                  ? { topPoints: most, mark: usualMark(most) }
                  : { topPoints: undefined, mark: undefined },
              );
            }}
          />
          {scored ? (
            <p className="mt-1.5 flex flex-wrap items-center gap-1.5">
              passes with
              <Cell
                aria-label="Points that pass"
                className={number}
                value={draft.mark ?? ""}
                onChange={(event) => put({ mark: Number(event.target.value) || undefined })}
              />
              of
              {made ? (
                <b>{draft.topPoints}</b>
              ) : (
                <Cell
                  aria-label="Points there are"
                  className={number}
                  value={draft.topPoints ?? ""}
                  onChange={(event) => put({ topPoints: Number(event.target.value) || undefined })}
                />
              )}
              points
            </p>
          ) : (
            <p className="soft mt-1">done or not, for a whole class by one gesture</p>
          )}
        </fieldset>
        <div className="flex flex-wrap items-center gap-4">
          <p className="text-error grow font-semibold" role={save.error ? "alert" : undefined}>
            {save.error?.message}
          </p>
          <Button look="primary" type="submit" disabled={save.isPending}>
            Keep this check
          </Button>
        </div>
      </form>
    </>
  );
}
