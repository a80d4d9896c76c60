import { useState } from "react";
import type { Ladder } from "../../api/types";
import { useKeys } from "../../app/useKeys";
import { Button } from "../../ui/parts";
import { again, beginning, clean } from "./ladderRun";
import { looks } from "../../ui/looks";

/** A try at the slowest that still is not clean so often wants a smaller bite. */
const SMALLER_AFTER = 2;

/** The ladder with the class: one step at a time, large; clean or again decides the next tempo. */
export function LadderRun({ ladder, onDone }: { ladder: Ladder; onDone: () => void }) {
  const [place, setPlace] = useState(beginning);
  const step = ladder.steps[place.step];
  const onClean = () => setPlace((now) => clean(ladder, now));
  const onAgain = () => setPlace(again);
  useKeys({ c: onClean, a: onAgain });
  if (!step)
    return (
      <p role="status" className="my-3">
        The ladder is climbed.{" "}
        <button type="button" className={looks.link} onClick={onDone}>
          Back to the steps
        </button>
      </p>
    );
  const tempo = step.tempos[place.tempo];
  return (
    <div className="bg-base-200 grid gap-3 rounded-lg px-5 py-4" aria-live="polite">
      <p className="soft">
        Step {place.step + 1} of {ladder.steps.length}
      </p>
      <p className="text-[1.45rem] leading-snug font-semibold">{step.what}</p>
      {tempo !== undefined && (
        <p className="flex flex-wrap items-baseline gap-x-4">
          <b className="font-heading text-[2rem] leading-none">♩ = {tempo}</b>
          <span className="soft">
            {step.tempos.map((one, i) => (i === place.tempo ? `[${one}]` : String(one))).join("  ")}
          </span>
        </p>
      )}
      {(step.note || step.listenFor) && <p>{step.note || step.listenFor}</p>}
      {place.again >= SMALLER_AFTER && (
        <p className="font-semibold">
          Not yet at the slowest: take fewer notes at a time, or clap and say it.
        </p>
      )}
      <div className="flex gap-3">
        <Button look="primary" onClick={onClean}>
          {tempo === undefined ? "Done (C)" : "Clean (C)"}
        </Button>
        {tempo !== undefined && <Button onClick={onAgain}>Again (A)</Button>}
      </div>
    </div>
  );
}
