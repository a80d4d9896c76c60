import { useMutation } from "@tanstack/react-query";
import { at } from "../../api/at";
import { remove } from "../../api/http";
import type { Trial } from "../../api/types";
import { shortDay } from "../../app/days";
import { Button, Failed } from "../../ui/parts";
import { aspects, mouthpieces } from "./placingWords";
import { useKept } from "./useKept";

/** Every trial of a student; what was put down wrongly is taken back. */
export function Trials({ studentId, trials }: { studentId: string; trials: readonly Trial[] }) {
  const kept = useKept(studentId, "Taken back");
  const takeBack = useMutation({
    mutationFn: (trialId: string) =>
      remove(at("/api/students/{studentId}/placing/trials/{trialId}", { studentId, trialId })),
    onSuccess: kept,
  });
  if (trials.length === 0) return null;
  return (
    <details>
      <summary className="cursor-pointer">Every trial ({trials.length})</summary>
      <ul className="mt-1">
        {trials.map((trial) => (
          <li
            key={trial.id}
            className="flex flex-wrap items-baseline gap-x-3 border-t border-[var(--hairline)] py-1"
          >
            <span className="soft small">{shortDay(trial.on)}</span>
            <b>{trial.instrumentName}</b>
            <span className="small">{mouthpieces[trial.mouthpiece]}</span>
            <span>
              {aspects
                .filter(({ aspect }) => trial.seen[aspect] !== undefined)
                .map(({ aspect, name }) => `${name.toLowerCase()} ${trial.seen[aspect]}`)
                .join(", ")}
              {trial.armCm !== undefined && `, arm ${trial.armCm} cm`}
            </span>
            {trial.note && <span className="soft">{trial.note}</span>}
            <Button small look="quiet" className="ml-auto" onClick={() => takeBack.mutate(trial.id)}>
              take back
            </Button>
          </li>
        ))}
      </ul>
      {takeBack.isError && <Failed error={takeBack.error} />}
    </details>
  );
}
