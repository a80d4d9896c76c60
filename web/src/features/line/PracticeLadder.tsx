import { keepPreviousData, useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { duration } from "../../app/days";
import { Failed } from "../../ui/parts";
import { habitNames, ladderQuery, type Habit } from "./line.queries";

/** The steps from slow fragments to the whole line, in the minutes left. */
export function PracticeLadder({ lineId, instrument }: { lineId: string; instrument: string }) {
  const [minutes, setMinutes] = useState(8);
  const [habit, setHabit] = useState<Habit>("SPOTS_FIRST");
  const ladder = useQuery({
    ...ladderQuery(lineId, instrument, habit, minutes),
    placeholderData: keepPreviousData,
  });
  return (
    <section aria-label="Practice ladder">
      <h2 className="mb-1 text-lg">Practice ladder</h2>
      <div className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
        <label className="flex items-center gap-2">
          <b className="w-14 text-right">{minutes} min</b>
          <input
            type="range"
            min={1}
            max={25}
            value={minutes}
            aria-label="Minutes there are"
            className="range range-xs w-40"
            onChange={(event) => setMinutes(Number(event.target.value))}
          />
        </label>
        <select
          aria-label="Rehearsal habit"
          className="select select-sm hairline bg-base-100 w-52 border-[1.5px] text-[0.95rem]"
          value={habit}
          onChange={(event) => setHabit(event.target.value as Habit)}
        >
          {Object.entries(habitNames).map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
        {ladder.data && <span className="small soft">takes {duration(ladder.data.seconds)}</span>}
      </div>
      {ladder.isError && <Failed error={ladder.error} />}
      <ol className={clsx(ladder.isPlaceholderData && "opacity-60")}>
        {ladder.data?.steps.map((step, i) => (
          <li
            key={i}
            className="grid grid-cols-[1.6rem_1fr_4.5rem_4rem] items-baseline border-b border-[var(--hairline)] py-1"
          >
            <b>{i + 1}</b>
            <span>{step.what}</span>
            <span className="soft">{step.kind === "RECALL" ? "" : `♩ = ${step.tempoBpm}`}</span>
            <span className="soft text-right">{duration(step.seconds)}</span>
          </li>
        ))}
      </ol>
      {ladder.data && ladder.data.dropped.length > 0 && (
        <p className="small mt-2">
          <span className="soft">Dropped for want of minutes: </span>
          {ladder.data.dropped.map((step) => step.what).join(" · ")}
        </p>
      )}
    </section>
  );
}
