import { useQuery } from "@tanstack/react-query";
import { useLayoutEffect, useRef, useState } from "react";
import type { YearView } from "../api/types";
import { addDays, monthName, span } from "./days";
import { yearQuery } from "./queries";
import { addressNow, useScope } from "./scope";
import { chosenWeek, labelEnds, restsOf, weekIndex } from "./ribbon";
import { useKeys } from "./useKeys";

export function WeekLabel() {
  const year = useQuery(yearQuery);
  const { week, choose } = useScope();
  if (!year.data) return <div className="border-base-content h-[54px] border-r-[1.5px]" />;
  const shown = chosenWeek(year.data, week);
  return (
    <div className="border-base-content border-r-[1.5px] px-4 py-2">
      <div className="display flex items-baseline gap-2 text-base">
        {shown.number ? `Week ${shown.number}` : "Break"}
        {week && (
          <button
            type="button"
            className="small font-sans font-normal tracking-normal underline"
            onClick={() => choose({ week: "" })}
          >
            today
          </button>
        )}
      </div>
      <div className="small soft -mt-0.5 truncate">{span(shown.monday, shown.friday)}</div>
    </div>
  );
}

/** The school year on one slim line: weeks as ticks, breaks as rests of many measures, concerts as flags. */
export function WeekRibbon() {
  const year = useQuery(yearQuery);
  const { week, choose } = useScope();
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1040);
  useLayoutEffect(() => {
    const element = frame.current;
    if (!element) return;
    const observer = new ResizeObserver(
      ([entry]) => entry && setWidth(Math.max(400, entry.contentRect.width)),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const move = (step: number) => {
    if (!year.data) return;
    const shown = addressNow().get("week") ?? undefined;
    const at = weekIndex(year.data, chosenWeek(year.data, shown).monday) + step;
    const to = year.data.weeks[at];
    if (to) choose({ week: to.monday });
  };
  useKeys({ "<": () => move(-1), ">": () => move(1) });
  return (
    <div ref={frame} className="min-w-0 overflow-hidden">
      {year.data && (
        <Ribbon year={year.data} width={width} week={week} onChoose={(monday) => choose({ week: monday })} />
      )}
    </div>
  );
}

function Ribbon({
  year,
  width,
  week,
  onChoose,
}: {
  year: YearView;
  width: number;
  week?: string;
  onChoose: (monday: string) => void;
}) {
  const left = 10;
  const step = (width - 20) / year.weeks.length;
  const x = (index: number) => left + index * step;
  const shown = weekIndex(year, chosenWeek(year, week).monday);
  const now = weekIndex(year, chosenWeek(year, undefined).monday);
  const flags = year.entries.filter((entry) => entry.kind === "CONCERT" || entry.kind === "FESTIVAL");
  const ends = labelEnds(
    flags.map((flag) => x(weekIndex(year, flag.first)) + step / 2),
    flags.map((flag) => flag.name),
    width,
  );
  return (
    <svg
      width={width}
      height="53"
      viewBox={`0 0 ${width} 53`}
      className="block"
      role="group"
      aria-label="The school year by weeks"
    >
      <line x1={left} x2={width - 10} y1="32" y2="32" stroke="currentColor" strokeWidth=".6" />
      <rect x={x(shown)} y="20" width={step} height="24" fill="var(--now)" opacity=".3" />
      <path d={`M${x(now)} 18h${step}l${-step / 2} 7z`} fill="var(--brass-fill)" />
      {year.weeks.map((w, i) => {
        const month = i === 0 || monthName(year.weeks[i - 1]!.friday) !== monthName(w.friday);
        return (
          <g key={w.monday}>
            <line x1={x(i)} x2={x(i)} y1="22" y2="42" stroke="currentColor" strokeWidth={month ? 1.6 : 0.6} />
            {month && (
              <text x={x(i)} y="14" fontSize="12" fill="var(--ink-soft)">
                {monthName(w.friday)}
              </text>
            )}
            {i < now && w.schoolDays > 0 && (
              <circle cx={x(i) + step / 2} cy="32" r="2.5" fill="currentColor" />
            )}
          </g>
        );
      })}
      {restsOf(year).map(({ from, to }) => (
        <g key={from}>
          <rect x={x(from) + 3} y="28" width={(to - from + 1) * step - 6} height="8" fill="currentColor" />
          <path d={`M${x(from) + 3} 23v18M${x(to + 1) - 3} 23v18`} stroke="currentColor" strokeWidth="2" />
        </g>
      ))}
      {flags.map((flag, i) => {
        const at = x(weekIndex(year, flag.first)) + step / 2;
        return (
          <g key={flag.name} fill="var(--color-primary)">
            <path d={`M${at} 46v-26l11 4l-11 4`} stroke="var(--color-primary)" strokeWidth="1.4" />
            <title>{flag.name}</title>
            {ends[i] !== "none" && (
              <text x={ends[i] === "end" ? at - 3 : at + 4} y="50" fontSize="11.5" textAnchor={ends[i]}>
                {flag.name}
              </text>
            )}
          </g>
        );
      })}
      {year.weeks.map((w, i) => (
        <a
          key={w.monday}
          href={`?week=${w.monday}`}
          tabIndex={i === shown ? 0 : -1}
          aria-label={`${w.number ? `Week ${w.number}` : "Break"}, ${span(w.monday, addDays(w.monday, 4))}`}
          aria-current={i === shown ? "date" : undefined}
          onClick={(event) => {
            event.preventDefault();
            onChoose(w.monday);
          }}
        >
          <rect x={x(i)} y="16" width={step} height="30" fill="transparent" />
        </a>
      ))}
    </svg>
  );
}
