import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { TestDraft } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { Field, SelectField } from "../../ui/Field";
import { Button, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { ConditionFields } from "./ConditionFields";
import { PartRows } from "./PartRows";
import { RetakeFields } from "./RetakeFields";
import { RubricChoice } from "./RubricChoice";
import { RubricFields } from "./RubricFields";
import { toSend } from "./testDraft";
import { testDraftQuery, type Drafted } from "./tests.queries";

/** Building a playing test, or editing one: an edit is a new version, and what was heard stays as it was heard. */
export function TestEditPage() {
  const { milestoneId = "" } = useParams();
  const [asked] = useSearchParams();
  const drafted = useQuery(testDraftQuery(milestoneId, asked.get("line") ?? undefined));
  if (drafted.isError) return <Failed error={drafted.error} again={() => void drafted.refetch()} />;
  if (!drafted.data) return <Skeleton rows={10} />;
  return <TestForm key={milestoneId || "new"} milestoneId={milestoneId} drafted={drafted.data} />;
}

function TestForm({ milestoneId, drafted }: { milestoneId: string; drafted: Drafted }) {
  const [draft, setDraft] = useState<TestDraft>(drafted.draft);
  const client = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const put = (change: Partial<TestDraft>) => setDraft((now) => ({ ...now, ...change }));
  const save = useMutation({
    mutationFn: async () => {
      if (!milestoneId) {
        return (await post<{ milestoneId: string }>(at("/api/playing-tests"), toSend(draft))).milestoneId;
      }
      await post<void>(at("/api/playing-tests/{milestoneId}", { milestoneId }), {
        version: drafted.version,
        draft: toSend(draft),
      });
      return milestoneId;
    },
    onSuccess: async (id) => {
      toast(
        milestoneId ? "Kept as the next version; what was heard stays" : "On your shelf; order it in Season",
      );
      await client.invalidateQueries({ queryKey: ["library"] });
      await client.invalidateQueries({ queryKey: ["progress"] });
      await navigate({ pathname: `/library/tests/${id}`, search: kept });
    },
  });
  return (
    <>
      <Heading
        title={milestoneId ? "Edit the test" : "Build a playing test"}
        words={
          milestoneId
            ? `Version ${drafted.version}; keeping makes version ${drafted.version + 1}. Heard tries stay as they are.`
            : undefined
        }
      />
      <form
        className="grid gap-5"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <div className="grid gap-x-10 gap-y-5 xl:grid-cols-2">
          <div className="grid content-start gap-5">
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
            <PartRows parts={draft.parts} onChange={(parts) => put({ parts })} />
            <ConditionFields conditions={draft.conditions} onChange={(conditions) => put({ conditions })} />
          </div>
          <div className="grid content-start gap-5">
            <fieldset>
              <legend className="mb-1.5 font-semibold">Rubric</legend>
              <div className="grid gap-3">
                <RubricChoice rubric={draft.rubric} onChoose={(rubric) => put({ rubric })} />
                <RubricFields rubric={draft.rubric} onChange={(rubric) => put({ rubric })} />
              </div>
            </fieldset>
            <RetakeFields retakes={draft.retakes} onChange={(retakes) => put({ retakes })} />
            <SelectField
              label="Scored by"
              small
              value={draft.listeners}
              onChange={(event) => put({ listeners: Number(event.target.value) })}
            >
              <option value={1}>one listener</option>
              <option value={2}>two listeners, each blind until both are done</option>
            </SelectField>
          </div>
        </div>
        <div className="bg-base-100 hairline sticky bottom-0 flex flex-wrap items-center gap-4 border-t-[1.5px] py-3">
          <p className="grow font-semibold" role={save.error ? "alert" : undefined}>
            <span className="text-error">{save.error?.message}</span>
          </p>
          <Button
            look="quiet"
            onClick={() =>
              void navigate({
                pathname: milestoneId ? `/library/tests/${milestoneId}` : "/library",
                search: kept,
              })
            }
          >
            Leave without keeping
          </Button>
          <Button look="primary" type="submit" disabled={save.isPending}>
            {save.isPending ? "Keeping…" : "Keep this test"}
          </Button>
        </div>
      </form>
    </>
  );
}
