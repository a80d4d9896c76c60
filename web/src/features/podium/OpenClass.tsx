import clsx from "clsx";
import { Ear } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import type { PodiumClass } from "../../api/types";
import { duration, longDay, weekday } from "../../app/days";
import { scopeSearch, tutti, useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { useReset } from "../../app/useReset";
import { Kbd } from "../../ui/parts";
import { counted } from "../../ui/words";
import { AwayList } from "../attendance/AwayList";
import { HabitWatchList } from "../habits/HabitWatchList";
import { DecideCards } from "./DecideCards";
import { LookAfter } from "./LookAfter";
import { lookAfterRows } from "./lookAfter";
import { OpenWith } from "./OpenWith";
import { PeriodBar } from "./PeriodBar";
import { TeachBrief } from "./TeachBrief";

interface Props {
  podiumClass: PodiumClass;
  day: string;
  /** The minute of its period; undefined where it does not go on. */
  minute?: number;
  mayDecide: boolean;
}

const LINES_SHOWN = 6;

/** The class that goes on: its minutes, what is taught, whom to hear, what to decide and whom to look after. */
export function OpenClass({ podiumClass: c, day, minute, mayDecide }: Props) {
  const { search, week } = useScope();
  const [takingAway, setTakingAway] = useState(false);
  const reset = useReset();
  useKeys({ "1": () => setTakingAway(true) });
  const inClass = (change: Parameters<typeof scopeSearch>[1] = {}) =>
    scopeSearch(search, { ...tutti, class: c.classId, ...change });
  const taught = c.teach.find((one) => one.kind === "LINE") ?? c.teach[0];
  return (
    <article aria-label={c.name} className="min-w-0">
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-[1.9rem] leading-tight">
          <Link className="no-underline hover:underline" to={{ pathname: "/roster", search: inClass() }}>
            {c.name}
          </Link>
        </h2>
        <span className="small soft">
          <h1 className="inline font-sans text-[length:inherit] font-normal tracking-normal">
            {longDay(day)}
          </h1>{" "}
          · period {c.period}, {c.startsAt} · {counted(c.students, "student")}
        </span>
        <button type="button" className="small soft" onClick={() => setTakingAway(true)}>
          <Kbd>1</Kbd> {c.away > 0 ? `${c.away} away` : "who is away?"}
        </button>
        <button type="button" className="small soft" onClick={reset.begin}>
          <Kbd>R</Kbd> reset
        </button>
      </header>
      {takingAway && (
        <AwayList classId={c.classId} className={c.name} on={day} onClose={() => setTakingAway(false)} />
      )}
      {reset.exercise}
      <PeriodBar key={c.classId + day} podiumClass={c} minute={minute} />
      <div className="grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_15.5rem]">
        <Part
          name={
            taught ? `Teach ${taught.kind === "LINE" ? `${taught.shortName}, ` : ""}${taught.title}` : "Teach"
          }
          beside={
            taught && (
              <>
                {taught.concertKey && `concert ${taught.concertKey} · `}
                {taught.dueOn === day ? "due today" : `due ${weekday(taught.dueOn)}`}
                {" · "}
                <OpenWith classId={c.classId} week={week} search={inClass()} />
                {thenWords(c, taught)}
              </>
            )
          }
        >
          {!taught && <p className="soft">Nothing is set for this week.</p>}
          {taught && <TeachBrief podiumClass={c} day={day} milestoneId={taught.milestoneId} />}
        </Part>
        <Part name="Hear">
          {c.hear.length === 0 && <p className="soft">Everybody set was heard.</p>}
          <ul className="grid gap-1">
            {c.hear.map((h, i) => (
              <li key={h.milestoneId}>
                <Link
                  to={{ pathname: `/hear/${h.milestoneId}`, search: inClass() }}
                  className={clsx(
                    "hover:bg-base-200 grid grid-cols-[1fr_auto] items-center gap-x-3 px-3 no-underline",
                    i === 0
                      ? "border-base-content rounded-[10px] border-[1.5px] py-1"
                      : "border-b border-[var(--hairline)] py-0.5",
                  )}
                >
                  <span>
                    <b>{h.kind === "LINE" ? `Line ${h.shortName}` : h.title}</b>
                    <span className={clsx("small soft", i === 0 ? "block" : "ml-2")}>
                      {h.open} {i === 0 && `of ${h.asked} to hear`} · {duration(h.seconds)}
                      {i === 0 && !h.fits && `, more than the ${c.minutes} min`}
                    </span>
                  </span>
                  <Ear size={i === 0 ? 18 : 15} aria-hidden />
                </Link>
              </li>
            ))}
          </ul>
          {(c.moreToHear > 0 || c.carriedOver > 0) && (
            <p className="small soft mt-1">
              {[
                c.moreToHear > 0 && `${c.moreToHear} more to hear`,
                c.carriedOver > 0 && `${c.carriedOver} carried over`,
              ]
                .filter(Boolean)
                .join(" · ")}
            </p>
          )}
        </Part>
      </div>
      {c.decide.length > 0 && (
        <Part name="Decide" className="mt-2">
          <DecideCards key={c.classId} podiumClass={c} mayDecide={mayDecide} />
        </Part>
      )}
      <Part name="Look after" className="mt-2" beside={lookAfterWords(c)}>
        <LookAfter podiumClass={c} search={inClass()} />
        <HabitWatchList key={c.classId} watch={c.watch} classId={c.classId} on={day} search={inClass()} />
      </Part>
    </article>
  );
}

/** "3 of 14, the rest can wait; passed habits to look at while the others play". */
function lookAfterWords(c: PodiumClass): string {
  const { rows, more } = lookAfterRows(c);
  return [
    more > 0 && `${rows.length} of ${rows.length + more}, the rest can wait`,
    c.watch.length > 0 && "passed habits: look while the others play",
  ]
    .filter(Boolean)
    .join("; ");
}

/** What is taught after the first; empty where that is all. */
function thenWords(c: PodiumClass, taught: PodiumClass["teach"][number]): string {
  const others = c.teach.filter((one) => one !== taught);
  if (others.length === 0) return "";
  const shown = others
    .slice(0, LINES_SHOWN)
    .map((one) => (one.kind === "LINE" ? `line ${one.shortName}` : one.shortName))
    .join(", ");
  const more = others.length > LINES_SHOWN ? ` and ${others.length - LINES_SHOWN} more` : "";
  return ` · then ${shown}${more}`;
}

interface PartProps {
  name: string;
  beside?: ReactNode;
  className?: string;
  children: ReactNode;
}

function Part({ name, beside, className, children }: PartProps) {
  return (
    <section className={className}>
      <h3 className="mb-0.5 flex flex-wrap items-baseline gap-x-2 text-[1.08rem]">
        {name}
        {beside && <span className="small soft font-sans font-normal tracking-normal">{beside}</span>}
      </h3>
      {children}
    </section>
  );
}
