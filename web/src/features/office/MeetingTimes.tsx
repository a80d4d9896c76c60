import clsx from "clsx";
import type { Bell } from "../../api/types";
import { Cell } from "../../ui/Field";
import { Button, IconButton } from "../../ui/parts";
import { newTime, toggled, weekdays, withPeriod, type TimeDraft } from "./classForm";

const dayLook = (chosen: boolean) =>
  clsx(
    "h-9 rounded-md border-[1.5px] px-2 text-[0.95rem]",
    chosen ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
  );

/** When a class meets: weekdays or letters, the period and its times; more times for other days or another campus. */
export function MeetingTimes({
  times,
  letters,
  campus,
  bells,
  faulty,
  sentence,
  onChange,
}: {
  times: readonly TimeDraft[];
  /** Of the school year; none where every class meets on its weekdays. */
  letters: readonly string[];
  campus: string;
  bells: readonly Bell[];
  faulty?: number;
  sentence?: string;
  onChange: (times: TimeDraft[]) => void;
}) {
  const put = (time: TimeDraft) => onChange(times.map((one) => (one.key === time.key ? time : one)));
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-semibold">
        Meets <span className="soft small font-normal">no day chosen means every school day</span>
      </legend>
      {times.map((time, i) => (
        <div key={time.key} role="group" aria-label={`Time ${i + 1}`} className="grid gap-1.5">
          <div className="flex flex-wrap items-center gap-1.5">
            {weekdays.map(([day, short]) => (
              <button
                key={day}
                type="button"
                aria-pressed={time.weekdays.includes(day)}
                aria-label={day.charAt(0) + day.slice(1).toLowerCase()}
                className={dayLook(time.weekdays.includes(day))}
                onClick={() => put({ ...time, weekdays: toggled(time.weekdays, day) })}
              >
                {short}
              </button>
            ))}
            {letters.map((letter) => (
              <button
                key={letter}
                type="button"
                aria-pressed={time.letters.includes(letter)}
                className={clsx(dayLook(time.letters.includes(letter)), "first-of-type:ml-2")}
                onClick={() => put({ ...time, letters: toggled(time.letters, letter) })}
              >
                {letter}-days
              </button>
            ))}
            {times.length > 1 && (
              <IconButton
                label={`Take away time ${i + 1}`}
                onPress={() => onChange(times.filter((one) => one.key !== time.key))}
              >
                ×
              </IconButton>
            )}
          </div>
          <div className="grid grid-cols-[4.5rem_7.5rem_5rem_1fr] gap-1.5">
            <Cell
              type="number"
              aria-label={`Period of time ${i + 1}`}
              title="Period"
              value={time.period}
              onChange={(e) => put(withPeriod(time, e.target.value, campus, bells))}
            />
            <Cell
              type="time"
              aria-label={`Start of time ${i + 1}`}
              value={time.startsAt}
              onChange={(e) => put({ ...time, startsAt: e.target.value })}
            />
            <Cell
              type="number"
              aria-label={`Minutes of time ${i + 1}`}
              title="Minutes"
              value={time.minutes}
              onChange={(e) => put({ ...time, minutes: e.target.value })}
            />
            <Cell
              aria-label={`Campus of time ${i + 1}`}
              placeholder={campus || "campus"}
              list="campuses"
              value={time.campus}
              onChange={(e) => put({ ...time, campus: e.target.value })}
            />
          </div>
          {i === 0 && (
            <p className="small soft grid grid-cols-[4.5rem_7.5rem_5rem_1fr] gap-1.5" aria-hidden>
              <span>period</span>
              <span>starts</span>
              <span>minutes</span>
              <span>campus, if another</span>
            </p>
          )}
          {faulty === i && (
            <p role="alert" className="small text-error font-semibold">
              {sentence}
            </p>
          )}
        </div>
      ))}
      <Button
        small
        className="justify-self-start"
        onClick={() => onChange([...times, newTime(bells, times.at(-1))])}
      >
        Another time
      </Button>
    </fieldset>
  );
}
