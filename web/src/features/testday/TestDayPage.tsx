import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { duration, longDay, shortDay } from "../../app/days";
import { libraryQuery, meQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { useScopeName } from "../../app/useScopeName";
import type { TestDay } from "../../api/types";
import { Field } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Band, Button, Empty, Failed, Heading, MinutesSlider, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { dayWords, endWords, makeUpReason, nextToHear, soonerWords, tiedWith } from "./testDayWords";
import { testDayAddress, testDayQuery, type TestDayWish } from "./testDay.queries";

const MOST_SHEETS = 3;

const groups = ["alone", "in pairs", "in threes", "in fours"] as const;

/** Who is heard in which of the coming periods; asked anew with every mark, so that it follows the day. */
export function TestDayPage() {
  const { milestoneId = "" } = useParams();
  const { scope, search } = useScope();
  const name = useScopeName();
  const me = useQuery(meQuery);
  const [chosen, setChosen] = useState<Partial<TestDayWish>>({});
  const wish: TestDayWish = { from: "", minutes: 20, together: 1, tied: {}, ...chosen };
  const change = (part: Partial<TestDayWish>) => setChosen((old) => ({ ...old, ...part }));
  const day = useQuery(testDayQuery(milestoneId, scope, wish));
  if (!scope.classId && !scope.instrument) return <Empty>Choose a class at the left.</Empty>;
  if (day.isError && !day.data) return <Failed error={day.error} again={() => void day.refetch()} />;
  if (!day.data) return <Skeleton rows={9} />;
  const next = nextToHear(day.data);
  const hear = { pathname: `/hear/${milestoneId}`, search: scopeSearch(search, {}) };
  return (
    <>
      <Heading title={day.data.title} words={`${name} · ${dayWords(day.data)}`}>
        <Button small onClick={() => window.print()}>
          Call list
        </Button>
        <a
          className={`${looks.smallButton} font-semibold`}
          href={testDayAddress("/api/tests/{milestoneId}/day/calendar.ics", milestoneId, scope, wish)}
          download
        >
          Calendar file
        </a>
        <Link className={`${looks.smallPrimary} font-semibold`} to={hear}>
          {next ? `Hear ${next.students[0]?.name.split(" ")[0]}` : "Hear"}
        </Link>
      </Heading>
      <div className="no-print mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
        <Field
          label="From"
          type="date"
          min={me.data?.today}
          value={wish.from || (me.data?.today ?? "")}
          onChange={(event) => change({ from: event.target.value })}
        />
        <div>
          <p className="font-semibold">Of each period</p>
          <MinutesSlider minutes={wish.minutes} most={60} onMinutes={(minutes) => change({ minutes })} />
        </div>
        <div role="radiogroup" aria-label="How they are heard" className="flex gap-1">
          {groups.map((words, i) => (
            <button
              key={words}
              type="button"
              role="radio"
              aria-checked={wish.together === i + 1}
              onClick={() => change({ together: i + 1 })}
              className={clsx(
                "rounded-lg border-[1.5px] px-3 py-1",
                wish.together === i + 1
                  ? "bg-neutral text-neutral-content border-neutral"
                  : "hairline hover:bg-base-200",
              )}
            >
              {words}
            </button>
          ))}
        </div>
      </div>
      {day.isError && <Failed error={day.error} again={() => void day.refetch()} />}
      <div className="grid gap-x-6 gap-y-5 md:grid-cols-2 xl:grid-cols-3">
        {day.data.periods.map((period) => (
          <Period
            key={period.id}
            period={period}
            next={period.today}
            others={day.data.periods.filter((other) => other.classId === period.classId)}
            tied={wish.tied}
            onTie={(studentId, periodId) => change({ tied: tiedWith(wish.tied, studentId, periodId) })}
          />
        ))}
        <MakeUp day={day.data} />
      </div>
      {(endWords(day.data) || soonerWords(day.data)) && (
        <div className="no-print mt-5">
          <Band label="When it ends">
            <b>{endWords(day.data)}</b>
            <span>{soonerWords(day.data)}</span>
            {day.data.sooner && (
              <Button small onClick={() => change({ together: day.data.sooner!.together })}>
                {groups[day.data.sooner.together - 1]}
              </Button>
            )}
          </Band>
        </div>
      )}
    </>
  );
}

interface PeriodProps {
  period: TestDay["periods"][number];
  next: boolean;
  /** Periods of the same class, this one among them. */
  others: TestDay["periods"];
  tied: TestDayWish["tied"];
  /** Empty to leave it to the plan again. */
  onTie: (studentId: string, periodId: string) => void;
}

function Period({ period, next, others, tied, onTie }: PeriodProps) {
  const used = period.usedSeconds / (period.minutes * 60);
  return (
    <section
      aria-label={`${longDay(period.on)}, period ${period.period}`}
      className="hairline border-l-[1.5px] pl-4"
    >
      <h2 className="text-[1.2rem]">
        {longDay(period.on)}, period {period.period}
      </h2>
      <p className="small soft">
        {period.today ? "today" : period.className}
        {period.rotation && ` · ${period.rotation}-day`}
        {` · the last ${period.minutes} of ${period.periodMinutes} min`}
      </p>
      <div className="bg-base-300 mt-1 h-2 rounded-full" aria-hidden="true">
        <div
          className="bg-neutral h-2 rounded-full"
          style={{ width: `${Math.min(100, Math.round(used * 100))}%` }}
        />
      </div>
      <p className="small soft mb-2">
        {duration(period.usedSeconds)} of {period.minutes} min
      </p>
      <ol>
        {period.slots.map((slot, i) => (
          <li
            key={slot.students[0]?.studentId}
            className={clsx(
              "grid grid-cols-[3.6rem_1fr] gap-x-2 rounded-lg px-2 py-1",
              next && i === 0 && "bg-neutral text-neutral-content",
            )}
          >
            <span className="tabular-nums">{slot.at}</span>
            <span className={clsx(slot.students.length > 1 && "border-secondary border-l-[3px] pl-2")}>
              {slot.students.map((student) => (
                <span key={student.studentId} className="flex justify-between gap-2">
                  <b>{student.name}</b>
                  <span className={clsx("small", !(next && i === 0) && "soft")}>
                    {student.instrumentName.toLowerCase()}
                    {others.length > 1 && (
                      <select
                        aria-label={`When ${student.name} is heard`}
                        className="no-print text-base-content bg-base-100 hairline ml-2 w-24 rounded-md border-[1.5px]"
                        value={tied[student.studentId] ?? ""}
                        onChange={(event) => onTie(student.studentId, event.target.value)}
                      >
                        <option value="">by plan</option>
                        {others.map((other) => (
                          <option key={other.id} value={other.id}>
                            {shortDay(other.on)}, {other.period}
                          </option>
                        ))}
                      </select>
                    )}
                  </span>
                </span>
              ))}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

function MakeUp({ day }: { day: TestDay }) {
  const { takes } = day;
  return (
    <div className="hairline grid content-start gap-4 border-l-[1.5px] pl-4">
      {day.makeUp.length > 0 && (
        <section aria-label="Make-up">
          <h2 className="text-[1.2rem]">Make-up</h2>
          <p className="small soft mb-1">Placed by rule</p>
          <ul>
            {day.makeUp.map((one) => (
              <li key={one.studentId} className="flex justify-between gap-2 py-0.5">
                <b>{one.name}</b>
                <span className="small soft">{makeUpReason(one.because)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {day.heard.length > 0 && (
        <p>
          <b>Heard:</b> {counted(day.heard.length, "student")}
        </p>
      )}
      <section aria-label="One student takes">
        <h2 className="text-[1.2rem]">One student takes</h2>
        <p>
          with the count-in <b>{duration(takes.playing)}</b>
        </p>
        <p>
          a word <b>{takes.word} s</b> · changeover <b>{takes.changeover} s</b>
        </p>
        {takes.learntFrom > 0 && (
          <p>
            heard so far, on average <b>{duration(takes.learnt)}</b>
          </p>
        )}
      </section>
      <Meanwhile milestoneId={day.milestoneId} />
    </div>
  );
}

/** What those do who wait: a partner check of the line, or a sheet of paper. */
function Meanwhile({ milestoneId }: { milestoneId: string }) {
  const { search } = useScope();
  const library = useQuery(libraryQuery);
  const kept = scopeSearch(search, {});
  const milestones = library.data?.milestones ?? [];
  const line = milestones.find((one) => one.id === milestoneId)?.line;
  const sheets = milestones.filter((one) => one.kind === "WRITTEN_CHECK").slice(0, MOST_SHEETS);
  return (
    <section aria-label="Meanwhile" className="no-print">
      <h2 className="text-[1.2rem]">Meanwhile</h2>
      <ul>
        {line && (
          <li>
            <Link className={looks.link} to={{ pathname: `/hear/${line.lineId}/partners`, search: kept }}>
              partners watch each other on line {line.number}
            </Link>
          </li>
        )}
        {sheets.map((sheet) => (
          <li key={sheet.id}>
            <Link className={looks.link} to={{ pathname: `/library/written/${sheet.id}`, search: kept }}>
              {sheet.title}
            </Link>{" "}
            on paper
          </li>
        ))}
        <li>
          <Link className={looks.link} to={{ pathname: "/library/written/new", search: kept }}>
            make another sheet
          </Link>
        </li>
      </ul>
    </section>
  );
}
