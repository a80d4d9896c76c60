import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate, useParams } from "react-router";
import { post } from "../../api/http";
import { scopeSearch, useScope } from "../../app/scope";
import { Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { draftOf, emptyForm, formOf, type CheckForm as Form } from "./checkForm";
import { CheckForm } from "./CheckForm";
import { cautionsQuery, draftQuery } from "./checks.queries";

/** Writing a check of one's own, or editing one: an edit is a new version, and what was passed stays. */
export function CheckEditPage() {
  const { milestoneId = "" } = useParams();
  const draft = useQuery(draftQuery(milestoneId));
  const cautions = useQuery(cautionsQuery);
  const client = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const save = useMutation({
    mutationFn: async (form: Form) => {
      if (!milestoneId) {
        return (await post<{ milestoneId: string }>(at("/api/checks"), draftOf(form))).milestoneId;
      }
      await post<void>(at("/api/checks/{milestoneId}", { milestoneId }), {
        version: draft.data?.version,
        draft: draftOf(form),
      });
      return milestoneId;
    },
    onSuccess: async (id) => {
      toast(milestoneId ? "Kept as the next version; what was passed stays" : "On your shelf");
      await client.invalidateQueries({ queryKey: ["library"] });
      await client.invalidateQueries({ queryKey: ["progress"] });
      await navigate({ pathname: `/library/checks/${id}`, search: kept });
    },
  });
  if (draft.isError && !draft.data) return <Failed error={draft.error} again={() => void draft.refetch()} />;
  if ((milestoneId && !draft.data) || !cautions.data) return <Skeleton rows={10} />;
  return (
    <>
      <Heading
        title={draft.data ? "Edit the check" : "A check of your own"}
        words={
          draft.data
            ? `Version ${draft.data.version}; keeping makes version ${draft.data.version + 1}.`
            : undefined
        }
      />
      <CheckForm
        values={draft.data ? formOf(draft.data.draft) : emptyForm}
        cautions={cautions.data}
        milestoneId={milestoneId || undefined}
        problem={save.error?.message}
        saving={save.isPending}
        onSave={(form) => save.mutate(form)}
        onBack={() =>
          void navigate({
            pathname: milestoneId ? `/library/checks/${milestoneId}` : "/library",
            search: kept,
          })
        }
      />
    </>
  );
}
