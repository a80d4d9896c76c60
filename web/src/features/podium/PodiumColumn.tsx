import { Ear } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import type { PodiumClass } from "../../api/types";
import { duration, weekday } from "../../app/days";
import { StudentName } from "../../app/StudentName";
import { OpenWith } from "./OpenWith";
import { familyHue, scopeSearch, tutti, useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { Kbd } from "../../ui/parts";
import { counted } from "../../ui/words";
import { AwayList } from "../attendance/AwayList";

interface Props {
  podiumClass: PodiumClass;
  day: string;
  /** Its place in the day, from 1; the key that opens its list of who is away. */
  number: number;
}

/** One class of the day: its sections, what is taught, whom to hear and who needs looking after. */
export function PodiumColumn({ podiumClass: c, day, number }: Props) {
  const { search, week } = useScope();
  const [takingAway, setTakingAway] = useState(false);
  useKeys({ [String(number)]: () => setTakingAway(true) });
  const inClass = (change: Parameters<typeof scopeSearch>[1] = {}) =>
    scopeSearch(search, { ...tutti, class: c.classId, ...change });
  return (
    <article
      aria-label={c.name}
      className="border-base-content flex min-w-0 flex-col gap-4 border-t-[3px] pt-3 pr-4 sm:border-l-[1.5px] sm:border-l-[var(--hairline)] sm:pl-4 sm:first:border-l-0 sm:first:pl-0 xl:pr-4"
    >
      <header>
        <p className="small soft">
          {c.startsAt} · period {c.period} · {c.minutes} min
        </p>
        <h2 className="text-[1.35rem]">
          <Link className="no-underline hover:underline" to={{ pathname: "/roster", search: inClass() }}>
            {c.name}
          </Link>
        </h2>
        <SectionBars sections={c.sections} students={c.students} />
        <button type="button" className="small soft mt-1" onClick={() => setTakingAway(true)}>
          <Kbd>{number}</Kbd> {c.away > 0 ? `${c.away} away` : "who is away?"}
        </button>
        {takingAway && (
          <AwayList classId={c.classId} className={c.name} on={day} onClose={() => setTakingAway(false)} />
        )}
      </header>
      {c.pain.length > 0 && (
        <Part name="Pain reported, not followed up">
          <ul className="grid gap-1 border-l-[3.5px] border-[var(--now)] pl-3">
            {c.pain.map((p) => (
              <li key={p.studentId + p.place + p.reportedOn}>
                <StudentName
                  className="font-semibold"
                  studentId={p.studentId}
                  name={p.name}
                  search={inClass()}
                />
                <span className="small soft block">
                  {p.place}, {p.instrumentName.toLowerCase()}, reported {weekday(p.reportedOn)}: ask again,
                  tell the family
                </span>
              </li>
            ))}
          </ul>
        </Part>
      )}
      <Part name="Open with">
        <OpenWith classId={c.classId} week={week} search={inClass()} />
        <Link className="small" to={{ pathname: `/podium/plan/${c.classId}`, search: inClass() }}>
          Plan for whoever stands in
        </Link>
      </Part>
      <Part name="Teach">
        {c.teach.length === 0 && <p className="soft">Nothing is set for this week.</p>}
        <ul className="grid gap-1">
          {c.teach.slice(0, 6).map((t) => (
            <li key={t.milestoneId} className="grid grid-cols-[1fr_auto] gap-x-2">
              <span>
                {t.kind === "LINE" ? <b>{t.shortName} </b> : null}
                {t.title}
                {t.asked < c.students && <span className="small soft"> for {t.asked}</span>}
              </span>
              <span className="small soft whitespace-nowrap">
                {t.dueOn === day ? "due today" : weekday(t.dueOn)}
              </span>
              {t.concertKey && <span className="small soft col-span-2">concert {t.concertKey}</span>}
            </li>
          ))}
        </ul>
        {c.teach.length > 6 && <p className="small soft">and {c.teach.length - 6} more</p>}
      </Part>
      <Part name="Hear">
        {c.hear.length === 0 && <p className="soft">Everybody set was heard.</p>}
        <ul className="grid gap-2">
          {c.hear.map((h) => (
            <li key={h.milestoneId}>
              <Link
                to={{ pathname: `/hear/${h.milestoneId}`, search: inClass() }}
                className="border-base-content hover:bg-base-200 grid grid-cols-[1fr_auto] items-center gap-x-3 rounded-[10px] border-[1.5px] px-3 py-1.5 no-underline"
              >
                <span>
                  <b>{h.kind === "LINE" ? `Line ${h.shortName}` : h.title}</b>
                  <span className="small soft block">
                    {h.open} of {h.asked} to hear · {duration(h.seconds)}
                    {!h.fits && `, more than the ${c.minutes} min`}
                    {h.dueOn < day && ", carried over"}
                  </span>
                </span>
                <Ear size={18} aria-hidden />
              </Link>
            </li>
          ))}
        </ul>
        <More count={c.moreToHear} what="to hear" />
        {c.carriedOver > 0 && (
          <p className="small soft mt-1.5">
            {counted(c.carriedOver, "milestone is", "milestones are")} carried over in this class.
          </p>
        )}
      </Part>
      {c.reviews.length > 0 && (
        <Part name="Look again at">
          <ul className="grid gap-1">
            {c.reviews.map((r) => (
              <li key={r.studentId + r.what}>
                <StudentName
                  className="font-semibold"
                  studentId={r.studentId}
                  name={r.name}
                  search={inClass()}
                />
                <span className="small soft block">
                  {r.what}, {r.overdue ? `overdue since ${weekday(r.reviewOn)}` : "due today"}
                </span>
              </li>
            ))}
          </ul>
          <More count={c.moreReviews} what="to look at again" />
        </Part>
      )}
      {c.lookAfter.length > 0 && (
        <Part name="Look after">
          <ul className="grid gap-1">
            {c.lookAfter.map((l) => (
              <li key={l.studentId}>
                <StudentName
                  className="font-semibold"
                  studentId={l.studentId}
                  name={l.name}
                  search={inClass()}
                />
                <span className="small soft block">
                  {l.tries} tries on “{l.milestone}”: try another remedy
                </span>
              </li>
            ))}
          </ul>
          <More count={c.moreToLookAfter} what="to look after" />
        </Part>
      )}
    </article>
  );
}

/** What a short list leaves out, so that nobody takes it for everything. */
function More({ count, what }: { count: number; what: string }) {
  return count > 0 ? (
    <p className="small soft mt-1">
      and {count} more {what}
    </p>
  ) : null;
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section>
      <h3 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">{name}</h3>
      {children}
    </section>
  );
}

/** How big each section is and how much of its work is passed, as the rows of a tiny score. */
function SectionBars({ sections, students }: { sections: PodiumClass["sections"]; students: number }) {
  const passed = sections.reduce((sum, s) => sum + s.passed, 0);
  const asked = sections.reduce((sum, s) => sum + s.asked, 0);
  return (
    <div className="mt-1.5">
      <div className="flex h-2.5 gap-[3px]" aria-hidden>
        {sections.map((s) => (
          <span
            key={s.instrument}
            title={`${s.students} ${s.plural.toLowerCase()}`}
            className="bg-base-300 relative overflow-hidden rounded-sm"
            style={{ flex: s.students }}
          >
            <span
              className="absolute inset-y-0 left-0"
              style={{
                width: s.asked ? `${(100 * s.passed) / s.asked}%` : 0,
                background: familyHue[s.family],
              }}
            />
          </span>
        ))}
      </div>
      <p className="small soft mt-1">
        {students} students in {counted(sections.length, "section")}
        {asked > 0 && ` · ${passed} of ${asked} passed`}
      </p>
    </div>
  );
}
