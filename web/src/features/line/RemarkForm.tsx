import { at } from "../../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { put } from "../../api/http";
import type { LineRemark } from "../../api/types";
import { Field } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { looks } from "../../ui/looks";

interface Props {
  lineId: string;
  instrument?: string;
  name?: string;
  remarks: readonly LineRemark[];
  onDone: () => void;
}

/** Where a line goes wrong and a tip, for the section chosen or for everybody. */
export function RemarkForm({ lineId, instrument, name, remarks, onDone }: Props) {
  const client = useQueryClient();
  const toast = useToast();
  const [whom, setWhom] = useState(instrument ?? "any");
  const of = (which: string) => remarks.find((r) => r.instrument === which);
  const [trouble, setTrouble] = useState(of(whom)?.trouble ?? "");
  const [tip, setTip] = useState(of(whom)?.tip ?? "");
  const keep = useMutation({
    mutationFn: () =>
      put<void>(at("/api/lines/{lineId}/remarks/{instrument}", { lineId, instrument: whom }), {
        trouble,
        tip,
      }),
    onSuccess: async () => {
      toast("Kept with the line");
      await client.invalidateQueries({ queryKey: ["library", "remarks", lineId] });
      onDone();
    },
  });
  const choose = (next: string) => {
    setWhom(next);
    setTrouble(of(next)?.trouble ?? "");
    setTip(of(next)?.tip ?? "");
  };
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      {instrument && (
        <div role="group" aria-label="For whom" className="flex gap-4">
          {[
            [instrument, name ?? instrument],
            ["any", "Everybody"],
          ].map(([code, label]) => (
            <label key={code} className="flex items-center gap-2">
              <input
                type="radio"
                className={looks.radio}
                name="whom"
                checked={whom === code}
                onChange={() => choose(code!)}
              />
              {label}
            </label>
          ))}
        </div>
      )}
      <Field
        label="Where it goes wrong"
        value={trouble}
        maxLength={400}
        onChange={(event) => setTrouble(event.target.value)}
      />
      <Field label="Tip" value={tip} maxLength={400} onChange={(event) => setTip(event.target.value)} />
      {keep.isError && (
        <p role="alert" className="text-error font-semibold">
          {keep.error.message}
        </p>
      )}
      <span className="flex gap-2">
        <Button look="primary" type="submit" disabled={keep.isPending}>
          Keep
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </span>
    </form>
  );
}
