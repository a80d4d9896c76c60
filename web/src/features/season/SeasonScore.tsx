import clsx from "clsx";
import type { Milestone, Order, SectionView, WeekView, YearView } from "../../api/types";
import { addDays, shortDay, weekday } from "../../app/days";
import { chosenWeek } from "../../app/ribbon";
import { familyHue, useScope } from "../../app/scope";
import { blocksOf, runsOf, type Block } from "./score";

const ROW = 44;
const HEAD = 34;

interface Props {
  year: YearView;
  weeks: WeekView[];
  sections: SectionView[];
  orders: Order[];
  milestones: ReadonlyMap<string, Milestone>;
  classId: string;
  chosen?: string;
  onChoose: (orderId: string | undefined) => void;
}

export function SeasonScore({ year, weeks, sections, orders, milestones, classId, chosen, onChoose }: Props) {
  const { scope } = useScope();
  const now = chosenWeek(year, undefined).monday;
  const height = HEAD + sections.length * ROW + 8;
  return (
    <div className="overflow-x-auto pb-1" tabIndex={0} role="region" aria-label="Season score">
      <div
        className="grid min-w-[760px]"
        style={{ gridTemplateColumns: `132px repeat(${weeks.length}, minmax(0, 1fr))` }}
      >
        <div />
        {weeks.map((week) => (
          <div
            key={week.monday}
            className={clsx(
              "px-2 pb-1 text-[0.93rem]",
              week.monday === now && "font-semibold text-[var(--brass)]",
            )}
          >
            {shortDay(week.monday)}
            {week.monday === now && " · now"}
          </div>
        ))}
        <div className="relative" style={{ height }}>
          {sections.map((section, i) => (
            <div
              key={section.instrument}
              className={clsx(
                "absolute right-2 left-0 flex items-center pl-4",
                scope.instrument === section.instrument && "font-semibold",
              )}
              style={{ top: HEAD + i * ROW, height: ROW }}
            >
              {section.name}
            </div>
          ))}
          {familyRuns(sections).map(([from, to]) => (
            <span
              key={from}
              aria-hidden
              className="absolute left-0 w-2 rounded-l-sm border-y-2 border-l-[3.5px]"
              style={{
                top: HEAD + from * ROW + 5,
                height: (to - from + 1) * ROW - 10,
                borderColor: familyHue[sections[from]!.family],
              }}
            />
          ))}
        </div>
        {weeks.map((week) => (
          <WeekColumn
            key={week.monday}
            week={week}
            isNow={week.monday === now}
            height={height}
            name={
              year.entries.find(
                (e) => e.kind === "BREAK" && e.first <= addDays(week.monday, 4) && e.last >= week.monday,
              )?.name
            }
            rowCount={sections.length}
            {...blocksOf(week, addDays(week.monday, 7), orders, milestones, sections, classId)}
            chosen={chosen}
            onChoose={onChoose}
          />
        ))}
      </div>
    </div>
  );
}

function familyRuns(sections: readonly SectionView[]): [number, number][] {
  return sections.reduce<[number, number][]>((runs, section, i) => {
    const last = runs.at(-1);
    if (last && sections[last[1]]!.family === section.family) last[1] = i;
    else runs.push([i, i]);
    return runs;
  }, []);
}

interface ColumnProps {
  week: WeekView;
  isNow: boolean;
  height: number;
  name?: string;
  rowCount: number;
  tutti: Block[];
  parts: Block[];
  chosen?: string;
  onChoose: (orderId: string | undefined) => void;
}

function WeekColumn({ week, isNow, height, name, rowCount, tutti, parts, chosen, onChoose }: ColumnProps) {
  if (week.schoolDays === 0) return <BreakColumn name={name} height={height} />;
  return (
    <div
      className={clsx(
        "relative border-l border-[var(--ink-soft)]",
        isNow && "bg-[color-mix(in_oklab,var(--now)_14%,transparent)]",
      )}
      style={{ height }}
    >
      {Array.from({ length: rowCount }, (_, i) => (
        <span
          key={i}
          aria-hidden
          className="absolute inset-x-0 border-t border-[var(--hairline)] opacity-60"
          style={{ top: HEAD + i * ROW + ROW / 2 }}
        />
      ))}
      <div className="absolute inset-1 flex gap-1">
        {tutti.map((block) => (
          <button
            key={block.order.id}
            type="button"
            title={`${block.title}, due ${weekday(block.order.dueOn)}`}
            aria-label={`${block.title}, tutti, due ${weekday(block.order.dueOn)}`}
            aria-pressed={chosen === block.order.id}
            onClick={() => onChoose(chosen === block.order.id ? undefined : block.order.id)}
            className={clsx(
              "bg-base-100/70 min-w-0 flex-1 rounded-lg border-[1.5px] border-current pt-1 text-center align-top font-semibold",
              "flex flex-col items-center",
              chosen === block.order.id && "bg-base-300! outline-2 outline-[var(--now)]",
            )}
          >
            <TuttiLabel block={block} crowded={tutti.length > 2} />
          </button>
        ))}
      </div>
      {parts.flatMap((block) =>
        runsOf(block.rows).map(([from, to]) => (
          <button
            key={`${block.order.id}-${from}`}
            type="button"
            title={`${block.title}, due ${weekday(block.order.dueOn)}`}
            aria-label={`${block.title}, due ${weekday(block.order.dueOn)}`}
            aria-pressed={chosen === block.order.id}
            onClick={() => onChoose(chosen === block.order.id ? undefined : block.order.id)}
            className={clsx(
              "absolute right-1.5 left-1.5 z-10 truncate rounded-md px-1.5 text-left text-[0.8rem] leading-none font-semibold",
              block.kind === "LINE"
                ? "bg-neutral text-neutral-content"
                : block.kind === "PLAYING_TEST"
                  ? "bg-primary text-primary-content"
                  : "bg-secondary text-secondary-content",
              chosen === block.order.id && "outline-2 outline-offset-1 outline-[var(--now)]",
            )}
            style={{
              top: HEAD + from * ROW + 3 + (block.lane % 2) * 20,
              height: to > from ? (to - from) * ROW + 19 : 19,
            }}
          >
            {block.kind === "LINE" ? `Line ${block.label}` : block.label}
          </button>
        )),
      )}
    </div>
  );
}

/** Lines show their number; longer names of checks, tests and belts run down their bar. */
function TuttiLabel({ block, crowded }: { block: Block; crowded: boolean }) {
  if (block.kind === "LINE") return <span className="pt-0.5">{block.label}</span>;
  const hue =
    block.kind === "BELT"
      ? "var(--brass)"
      : block.kind === "PLAYING_TEST"
        ? "var(--string)"
        : "var(--woodwind)";
  return (
    <span
      className="mt-1 truncate text-[0.87rem]"
      style={{ writingMode: crowded || block.label.length > 5 ? "vertical-rl" : undefined, color: hue }}
    >
      {block.label}
      {block.kind === "BELT" && " belt"}
    </span>
  );
}

/** A week off, as a rest of one measure. */
function BreakColumn({ name, height }: { name?: string; height: number }) {
  return (
    <div
      className="bg-base-200 relative grid place-items-center border-l border-[var(--ink-soft)]"
      style={{ height }}
    >
      <div className="grid justify-items-center gap-2 text-center">
        <svg width="64" height="34" viewBox="0 0 64 34" aria-hidden="true">
          <rect x="2" y="11" width="60" height="12" fill="currentColor" />
          <path d="M2 2v30M62 2v30" stroke="currentColor" strokeWidth="2.5" />
        </svg>
        <span className="small soft">{name ?? "No school"}</span>
      </div>
    </div>
  );
}
