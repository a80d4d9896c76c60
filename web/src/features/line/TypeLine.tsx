import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { post, Problem } from "../../api/http";
import { useScope } from "../../app/scope";
import { AreaField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { LeftOut } from "./LeftOut";
import { previewQuery } from "./line.queries";
import { Notation } from "./Notation";

const PAUSE = 250;
const begun = "X:1\nT:\nM:4/4\nL:1/4\nQ:1/4=80\nK:Bb\n";

/** A line typed in ABC, shown as it is typed; what is wrong is told by line and column. */
export function TypeLine({ lineId, abc, onKept }: { lineId: string; abc: string; onKept: () => void }) {
  const { scope } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const [typed, setTyped] = useState(abc || begun);
  const [settled, setSettled] = useState(typed);
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(typed), PAUSE);
    return () => window.clearTimeout(timer);
  }, [typed]);
  const preview = useQuery(previewQuery(settled, scope.instrument));
  const keep = useMutation({
    mutationFn: () => post<void>(at("/api/lines/{lineId}/notes", { lineId }), { abc: typed }),
    onSuccess: async () => {
      toast("The notes are kept with the line");
      await client.invalidateQueries({ queryKey: ["library"] });
      onKept();
    },
  });
  const wrong = preview.error instanceof Problem ? preview.error : undefined;
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <form
        className="grid content-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate();
        }}
      >
        <AreaField
          label="The line in ABC, as it sounds"
          rows={14}
          spellCheck={false}
          className="font-mono text-[0.95rem]"
          value={typed}
          error={wrong ? `${wrong.field ? `${wrong.field}: ` : ""}${wrong.message}` : undefined}
          hint="Letters are notes, B, is the B below middle C's octave; |: :| repeat, [1 [2 endings, !fine! !D.C.alfine!"
          onChange={(event) => setTyped(event.target.value)}
        />
        {keep.isError && <p className="text-error font-semibold">{keep.error.message}</p>}
        <Button look="primary" type="submit" disabled={Boolean(wrong) || keep.isPending}>
          Keep the notes with this line
        </Button>
      </form>
      <div>
        {preview.data && (
          <Notation musicXml={preview.data.musicXml} label="Preview of the line typed" brackets={[]} />
        )}
        {preview.data?.analysis.fault && <p role="alert">{preview.data.analysis.fault}</p>}
        {preview.data && <LeftOut what={preview.data.analysis.leftOut} />}
      </div>
    </div>
  );
}
