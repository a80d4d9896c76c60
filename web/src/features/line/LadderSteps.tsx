import clsx from "clsx";
import type { Ladder } from "../../api/types";
import { duration } from "../../app/days";
import { heardFor, silentSteps } from "./line";

/** The steps to read. */
export function LadderSteps({ ladder, faded }: { ladder: Ladder; faded?: boolean }) {
  return (
    <ol className={clsx(faded && "opacity-60")}>
      {ladder.steps.map((step, i) => (
        <li
          key={i}
          className="grid grid-cols-[1.6rem_1fr_4.5rem_4rem] items-baseline border-b border-[var(--hairline)] py-1"
        >
          <b>{i + 1}</b>
          <span>
            {step.what}
            {heardFor(ladder, i) && <span className="soft block">{heardFor(ladder, i)}</span>}
          </span>
          <span className="soft">{silentSteps.has(step.kind) ? "" : `♩ = ${step.tempoBpm}`}</span>
          <span className="soft text-right">{duration(step.seconds)}</span>
        </li>
      ))}
    </ol>
  );
}
