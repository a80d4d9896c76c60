import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { put } from "../../api/http";
import type { FingerPattern } from "../../api/types";
import { Cell } from "../../ui/Field";
import { Button, Failed } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { fingerPatternsQuery } from "./plan.queries";

const pairs = [1, 2, 3] as const;

/** What a class of strings calls its finger patterns; orders and sheets use these names. */
export function FingerPatternForm({ classId }: { classId: string }) {
  const patterns = useQuery(fingerPatternsQuery(classId));
  if (patterns.isError) return <Failed error={patterns.error} again={() => void patterns.refetch()} />;
  return patterns.data ? <Rows key={patterns.dataUpdatedAt} classId={classId} kept={patterns.data} /> : null;
}

type Row = Pick<FingerPattern, "name" | "close">;

function Rows({ classId, kept }: { classId: string; kept: FingerPattern[] }) {
  const client = useQueryClient();
  const toast = useToast();
  const [rows, setRows] = useState<Row[]>(() => kept.map(({ name, close }) => ({ name, close })));
  const save = useMutation({
    mutationFn: () =>
      put(
        at("/api/classes/{classId}/finger-patterns", { classId }),
        rows.filter((row) => row.name.trim() !== ""),
      ),
    onSuccess: async () => {
      toast("The names are kept");
      await client.invalidateQueries({ queryKey: fingerPatternsQuery(classId).queryKey });
    },
  });
  const set = (at: number, change: Partial<Row>) =>
    setRows((now) => now.map((row, i) => (i === at ? { ...row, ...change } : row)));
  return (
    <form
      aria-label="Finger patterns"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <h2 className="mb-2 text-[1.3rem]">Finger patterns</h2>
      <p className="soft mb-2">Your class’s own name for each; tick the fingers that stand close.</p>
      <ul className="grid gap-2">
        {rows.map((row, i) => (
          <li key={i} className="grid grid-cols-[1fr_auto] items-center gap-4">
            <Cell
              aria-label={`Name of pattern ${i + 1}`}
              value={row.name}
              maxLength={60}
              onChange={(event) => set(i, { name: event.target.value })}
            />
            <span className="flex gap-3">
              {pairs.map((finger) => (
                <label key={finger} className="small flex items-center gap-1">
                  <input
                    type="checkbox"
                    aria-label={`Pattern ${i + 1}: ${finger} and ${finger + 1} close`}
                    checked={row.close.includes(finger)}
                    onChange={(event) =>
                      set(i, {
                        close: event.target.checked
                          ? [...row.close, finger]
                          : row.close.filter((one) => one !== finger),
                      })
                    }
                  />
                  {finger}–{finger + 1}
                </label>
              ))}
            </span>
          </li>
        ))}
      </ul>
      {save.isError && <Failed error={save.error} />}
      <div className="mt-3 flex gap-3">
        <Button type="submit" disabled={save.isPending}>
          Keep the names
        </Button>
        {rows.length < 12 && (
          <Button onClick={() => setRows([...rows, { name: "", close: [] }])}>One more</Button>
        )}
      </div>
    </form>
  );
}
