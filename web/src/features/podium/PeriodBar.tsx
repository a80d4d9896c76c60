import clsx from "clsx";
import type { PodiumClass } from "../../api/types";
import { Kbd } from "../../ui/parts";
import { partName, shortenedWords, type Wish } from "./periodBar";
import { usePeriod } from "./usePeriod";

interface Props {
  podiumClass: PodiumClass;
  /** The minute of the period it is; undefined where it does not go on. */
  minute?: number;
}

const STEP = 1;
const looks: Record<Wish["kind"], string> = {
  OPEN: "bg-secondary text-secondary-content",
  TEACH: "bg-neutral text-neutral-content",
  HEAR: "bg-primary text-primary-content",
};

/** The period as a bar of minutes: stretched with the arrow keys or its handles, with a play-head while it goes on. */
export function PeriodBar({ podiumClass: c, minute: now }: Props) {
  const period = usePeriod(c, now);
  const { spent, minute, goingOn, late } = period;
  const wishOf = new Map(c.plan.wishes.map((wish) => [wish.key, wish]));
  const percent = (minutes: number) => `${(100 * minutes) / c.minutes}%`;
  const short = shortenedWords(period.rest ?? spent, c.plan.wishes);
  return (
    <section aria-label="The period" className="mt-2 mb-2">
      <div className="relative flex h-7 gap-[3px]">
        {spent.segments.map((segment) => {
          const wish = wishOf.get(segment.key);
          if (!wish) return null;
          return (
            <button
              key={segment.key}
              type="button"
              aria-label={`${partName(wish)}, ${segment.minutes} minutes from minute ${segment.begins}`}
              aria-current={goingOn === segment.key ? "step" : undefined}
              title="this goes on now; arrow keys make it longer or shorter"
              onClick={() => period.say(segment.key)}
              onKeyDown={(event) => {
                const by = event.key === "ArrowRight" ? STEP : event.key === "ArrowLeft" ? -STEP : 0;
                if (by === 0) return;
                event.preventDefault();
                period.stretch(segment.key, segment.minutes + by);
              }}
              className={clsx(
                "overflow-hidden rounded-[5px] px-2 text-left text-[0.9rem] font-semibold whitespace-nowrap",
                looks[wish.kind],
                goingOn === segment.key && "outline-2 outline-offset-1 outline-[var(--now)]",
              )}
              style={{ flex: `0 0 calc(${percent(segment.minutes)} - 3px)` }}
            >
              {partName(wish)}
            </button>
          );
        })}
        {spent.spare > 0 && (
          <span
            className="bg-base-300 rounded-[5px]"
            style={{ flex: `0 0 ${percent(spent.spare)}` }}
            aria-hidden
          />
        )}
        {minute !== undefined && (
          <span
            aria-hidden
            className="absolute -top-1 bottom-[-4px] w-[3px] rounded-full bg-[var(--now)]"
            style={{ left: percent(minute) }}
          />
        )}
      </div>
      <div className="small soft relative mt-0.5 h-5">
        {spent.segments.map((segment) => (
          <span
            key={segment.key}
            className="absolute flex items-center gap-1 whitespace-nowrap"
            style={{ left: percent(segment.begins) }}
          >
            {segment.minutes} min
            {segment.minutes > 3 && (
              <>
                <Nudge
                  label={`Shorter: ${segment.key}`}
                  onPress={() => period.stretch(segment.key, segment.minutes - STEP)}
                >
                  −
                </Nudge>
                <Nudge
                  label={`Longer: ${segment.key}`}
                  onPress={() => period.stretch(segment.key, segment.minutes + STEP)}
                >
                  +
                </Nudge>
              </>
            )}
          </span>
        ))}
        {spent.spare > 0 && (
          <span className="absolute whitespace-nowrap" style={{ left: percent(c.minutes - spent.spare) }}>
            {spent.spare} spare
          </span>
        )}
      </div>
      {(short || minute !== undefined) && (
        <p className="small" role="status">
          {minute !== undefined && (
            <b>
              minute {minute}
              {late > 0 ? `, ${late} min late` : ", on time"}
            </b>
          )}
          {short && (
            <>
              {minute !== undefined && " · "}
              to fit: <b>{short}</b>
              {minute !== undefined && period.rest === undefined && (
                <span className="soft">
                  {" "}
                  · press <Kbd>Enter</Kbd> on what goes on, and the rest follows
                </span>
              )}
            </>
          )}
        </p>
      )}
    </section>
  );
}

function Nudge({ label, onPress, children }: { label: string; onPress: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onPress}
      className="hairline hover:bg-base-200 text-base-content h-5 w-5 rounded border leading-none"
    >
      {children}
    </button>
  );
}
