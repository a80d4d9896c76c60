import clsx from "clsx";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import type { Decision, PodiumClass } from "../../api/types";
import { outbox } from "../hear/outbox";
import { decideReasons, decideTitle, verdictWords, type Decidable } from "./decide";

interface Props {
  podiumClass: PodiumClass;
  /** Who may decide; others read it. */
  mayDecide: boolean;
}

const choices: Decidable[] = ["GO_ON", "GO_ON_WITH_CATCH_UP", "STAY"];

/** Whether to go on, for everybody or for a section that differs: what the counts say, and what the director decides. */
export function DecideCards({ podiumClass: c, mayDecide }: Props) {
  /** What was pressed just now, until it is read again. */
  const [pressed, setPressed] = useState<ReadonlyMap<string, Decidable>>(new Map());
  const keyOf = (one: PodiumClass["decide"][number]) => `${one.milestoneId} ${one.instrument ?? ""}`;
  const decide = (one: PodiumClass["decide"][number], decided: Decidable) => {
    setPressed((all) => new Map(all).set(keyOf(one), decided));
    const id = newId();
    outbox.add({
      id,
      kind: "note",
      label: `${decideTitle(one)}: ${verdictWords[decided]}`,
      path: at("/api/podium/decisions"),
      body: {
        id,
        classId: c.classId,
        instrument: one.instrument,
        milestoneId: one.milestoneId,
        advised: one.advised,
        decided,
      } satisfies Decision,
    });
  };
  return (
    <ul className="grid gap-x-4 gap-y-3 md:grid-cols-3">
      {c.decide.map((one) => {
        const decided = pressed.get(keyOf(one)) ?? one.decided;
        return (
          <li key={keyOf(one)} className="border-base-content border-t-[3px] pt-1">
            <p className="leading-snug">
              <b>{decideTitle(one)}</b>{" "}
              <b className="text-primary display block text-[1.06rem]">{verdictWords[one.advised]}</b>
            </p>
            <p className="small soft truncate leading-snug" title={decideReasons(one)}>
              {decideReasons(one)}
            </p>
            {mayDecide && (
              <div
                role="group"
                aria-label={`Decide ${decideTitle(one)}`}
                className="mt-1 flex flex-wrap gap-1"
              >
                {choices.map((choice) => (
                  <button
                    key={choice}
                    type="button"
                    aria-pressed={decided === choice}
                    onClick={() => decide(one, choice)}
                    className={clsx(
                      "min-h-7 rounded-lg border-[1.5px] px-2 text-[0.84rem]",
                      decided === choice
                        ? "border-base-content bg-neutral text-neutral-content"
                        : "hairline hover:bg-base-200",
                    )}
                  >
                    {choice === "GO_ON_WITH_CATCH_UP" ? "catch up" : verdictWords[choice]}
                  </button>
                ))}
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}
