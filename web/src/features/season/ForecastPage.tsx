import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post, put, remove } from "../../api/http";
import type { LibraryView, PlanProposal, SeasonForecast, SectionForecast, YearView } from "../../api/types";
import { addDays, longDay, shortDay } from "../../app/days";
import { classesQuery, libraryQuery, yearQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Field, SelectField } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { heldBy, placeOf, range } from "./forecast";
import { forecastsQuery, proposalsQuery } from "./plan.queries";

/** When each section will have the lines of a target, how likely by its day, and at what pace. */
export function ForecastPage() {
  const { scope, search, allClasses } = useScope();
  const classes = useQuery(classesQuery);
  const year = useQuery(yearQuery);
  const library = useQuery(libraryQuery);
  const forecasts = useQuery(forecastsQuery(scope.classId));
  const name = classes.data?.find((c) => c.id === scope.classId)?.name;
  if (allClasses) return <Empty>Choose a class at the left to see its forecast.</Empty>;
  const failed = [year, library, forecasts].find((q) => q.isError);
  if (failed?.error) return <Failed error={failed.error} again={() => void failed.refetch()} />;
  if (!year.data || !library.data || !forecasts.data || !scope.classId) return <Skeleton rows={9} />;
  return (
    <>
      <Heading
        title={`Forecast, ${name}`}
        words="from the passes of the weeks behind; breaks are no practice time"
      >
        <Link className="underline" to={{ pathname: "/season", search: scopeSearch(search, {}) }}>
          Back to the season
        </Link>
      </Heading>
      {forecasts.data.length === 0 && (
        <Empty>No line is planned yet; set a target below, or plan the year first.</Empty>
      )}
      <div className="grid gap-8">
        {forecasts.data.map((target) => (
          <Target
            key={target.targetId}
            target={target}
            year={year.data}
            instrument={scope.instrument}
            classId={scope.classId!}
          />
        ))}
      </div>
      <TargetForm classId={scope.classId} library={library.data} year={year.data} />
    </>
  );
}

function Target({
  target,
  year,
  instrument,
  classId,
}: {
  target: SeasonForecast;
  year: YearView;
  instrument?: string;
  classId: string;
}) {
  const client = useQueryClient();
  const again = () => client.invalidateQueries({ queryKey: forecastsQuery(classId).queryKey });
  const drop = useMutation({
    mutationFn: () => remove(at("/api/season/forecasts/targets/{targetId}", { targetId: target.targetId })),
    onSuccess: again,
  });
  const flag = year.entries.find(
    (e) => e.first === target.byDay && (e.kind === "CONCERT" || e.kind === "FESTIVAL"),
  );
  const from = year.today;
  const to = latest(
    [addDays(target.byDay, 42), ...target.sections.flatMap((s) => (s.high ? [addDays(s.high, 14)] : []))],
    year.last,
  );
  const sections = target.sections.filter((s) => !instrument || s.instrument === instrument);
  return (
    <section aria-label={`Up to line ${target.number}`}>
      <div className="mb-2 flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-[1.3rem]">
          Line {target.number}, page {target.page}, by{" "}
          {flag ? `the ${flag.name.toLowerCase()}` : longDay(target.byDay)}
        </h2>
        <span className="soft">{flag && longDay(target.byDay)}</span>
        {target.set ? (
          <button
            type="button"
            className="small underline"
            disabled={drop.isPending}
            onClick={() => drop.mutate()}
          >
            no longer a target
          </button>
        ) : (
          <span className="small soft">
            the last line planned before then; set your own below to keep its forecasts
          </span>
        )}
      </div>
      {drop.isError && <Failed error={drop.error} />}
      <ul className="border-t-[1.5px] border-current">
        {sections.map((section) => (
          <SectionRow
            key={section.instrument}
            section={section}
            classId={classId}
            target={target}
            year={year}
            from={from}
            to={to}
          />
        ))}
      </ul>
    </section>
  );
}

function latest(days: string[], most: string): string {
  const last = [...days].sort().at(-1) ?? most;
  return last > most ? most : last;
}

function SectionRow({
  section,
  classId,
  target,
  year,
  from,
  to,
}: {
  section: SectionForecast;
  classId: string;
  target: SeasonForecast;
  year: YearView;
  from: string;
  to: string;
}) {
  const held = heldBy(section);
  const done = section.need === 0;
  return (
    <li className="grid items-center gap-x-6 gap-y-1 border-b border-[var(--hairline)] py-2 md:grid-cols-[10rem_minmax(0,1fr)_23rem]">
      <div>
        <b>{section.name}</b> <span className="small soft">{section.students}</span>
        <div className="small">{done ? "has it" : `by then: ${section.chanceWords}`}</div>
      </div>
      <Line section={section} target={target} year={year} from={from} to={to} />
      <div className="text-[0.95rem]">
        {section.words}
        {!done && (
          <span className="soft block">
            {section.lines} {section.lines === 1 ? "line" : "lines"} a week
            {section.needed !== undefined && `, needed ${section.needed}`}
            {held && ` · ${held.held} of ${held.of} earlier ranges held it`}
          </span>
        )}
        {section.ownPercent !== section.pacePercent && <OwnPace classId={classId} section={section} />}
      </div>
    </li>
  );
}

/** Plans a section with the minutes its own pace asks for, and proposes what that changes. */
function OwnPace({ classId, section }: { classId: string; section: SectionForecast }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const { search } = useScope();
  const replan = useMutation({
    mutationFn: async () => {
      await put(at("/api/season/plan/classes/{classId}/pace", { classId }), {
        instrument: section.instrument,
        pacePercent: section.ownPercent,
      });
      return post<PlanProposal[]>(at("/api/season/plan/proposals"), {
        classId,
        cause: `${section.name} ${section.ownPercent > 100 ? "need longer" : "run ahead"}`,
      });
    },
    onSuccess: async (made) => {
      client.setQueryData(proposalsQuery(classId).queryKey, made);
      await client.invalidateQueries({ queryKey: ["progress"] });
      await navigate({ pathname: "/season/proposal", search: scopeSearch(search, { week: "" }) });
    },
  });
  return (
    <span className="block">
      <button
        type="button"
        className="small underline"
        disabled={replan.isPending}
        onClick={() => replan.mutate()}
      >
        plan them with {section.ownPercent} % of the minutes
      </button>
      {replan.isError && (
        <span role="alert" className="text-error small block">
          {replan.error.message}
        </span>
      )}
    </span>
  );
}

function Line({
  section,
  target,
  year,
  from,
  to,
}: {
  section: SectionForecast;
  target: SeasonForecast;
  year: YearView;
  from: string;
  to: string;
}) {
  const drawn = range(section, from, to);
  const x = (day: string) => placeOf(day, from, to);
  const breaks = year.entries.filter(
    (e) => e.kind === "BREAK" && e.last >= from && e.first <= to && e.first < addDays(e.last, -2),
  );
  return (
    <div className="relative h-[52px]" aria-hidden>
      <div className="absolute inset-x-0 top-[22px] border-t border-[var(--ink-soft)]" />
      {breaks.map((e) => (
        <span
          key={e.first}
          title={e.name}
          className="absolute top-[16px] h-[12px] border-x-2 border-current bg-[color-mix(in_oklab,currentColor_80%,transparent)]"
          style={{ left: `${x(e.first)}%`, width: `${x(e.last) - x(e.first)}%` }}
        />
      ))}
      {section.earlier.slice(-6, -1).map((e, i) =>
        e.low ? (
          <span
            key={e.monday}
            title={`forecast of ${shortDay(e.monday)}`}
            className="bg-secondary absolute h-[2px] opacity-55"
            style={{
              top: 30 + i * 3.5,
              left: `${x(e.low)}%`,
              width: `${Math.max(1, (e.high ? x(e.high) : 100) - x(e.low))}%`,
            }}
          />
        ) : null,
      )}
      {drawn && section.need > 0 && (
        <>
          <span
            className="bg-secondary absolute top-[18px] h-[8px] rounded-full opacity-50"
            style={{ left: `${drawn.left}%`, width: `${drawn.width}%` }}
          />
          {section.middle && (
            <span
              className="bg-secondary absolute top-[15px] h-[14px] w-[5px] -translate-x-1/2 rounded-sm"
              style={{ left: `${x(section.middle)}%` }}
            />
          )}
        </>
      )}
      <svg
        className="absolute top-0 overflow-visible"
        style={{ left: `${x(target.byDay)}%` }}
        width="14"
        height="30"
      >
        <path
          d="M0 30V4l11 4l-11 4"
          fill="var(--color-primary)"
          stroke="var(--color-primary)"
          strokeWidth="1.4"
        />
      </svg>
      <span className="small soft absolute bottom-[-6px] left-0 leading-none">{shortDay(from)}</span>
      <span className="small soft absolute right-0 bottom-[-6px] leading-none">{shortDay(to)}</span>
    </div>
  );
}

function TargetForm({ classId, library, year }: { classId: string; library: LibraryView; year: YearView }) {
  const client = useQueryClient();
  const lines = library.milestones.filter((m) => m.kind === "LINE");
  const concerts = year.entries.filter(
    (e) => (e.kind === "CONCERT" || e.kind === "FESTIVAL") && e.first >= year.today,
  );
  const [lineId, setLineId] = useState("");
  const [byDay, setByDay] = useState(concerts[0]?.first ?? year.last);
  const [id, setId] = useState(() => newId());
  const set = useMutation({
    mutationFn: () =>
      put(at("/api/season/forecasts/targets/{targetId}", { targetId: id }), { classId, lineId, byDay }),
    onSuccess: async () => {
      setId(newId());
      await client.invalidateQueries({ queryKey: forecastsQuery(classId).queryKey });
    },
  });
  return (
    <form
      aria-label="A target"
      className="mt-8 grid max-w-3xl items-end gap-4 sm:grid-cols-[1fr_12rem_auto]"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate();
      }}
    >
      <SelectField label="Every line up to" value={lineId} onChange={(e) => setLineId(e.target.value)}>
        <option value="">choose a line</option>
        {lines.map((line) => (
          <option key={line.id} value={line.id}>
            {line.line ? `${line.line.book}, ` : ""}line {line.shortName}, {line.title}
          </option>
        ))}
      </SelectField>
      <Field label="By" type="date" required value={byDay} onChange={(e) => setByDay(e.target.value)} />
      <Button type="submit" disabled={!lineId || set.isPending}>
        Set as target
      </Button>
      {set.isError && <Failed error={set.error} />}
    </form>
  );
}
