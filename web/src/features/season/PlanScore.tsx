import clsx from "clsx";
import type { PlanClass, PlanItem, PlanTarget, PlanWeek } from "../../api/types";
import { shortDay } from "../../app/days";
import { familyHue, useScope } from "../../app/scope";
import { HEAD, PlanColumn, ROW, type ColumnActs } from "./PlanColumn";

interface Props extends ColumnActs {
  weeks: PlanWeek[];
  now: string;
  classes: PlanClass[];
  items: readonly PlanItem[];
  /** Every week of the year, for the place of one in it. */
  mondays: readonly string[];
  targets?: ReadonlyMap<string, PlanTarget>;
  target?: string;
  changed?: ReadonlyMap<string, ReadonlyMap<string, "here" | "gone">>;
  /** Minutes after a proposal, by class and week. */
  after?: ReadonlyMap<string, number>;
  children?: never;
}

/** The year as a score: classes under one another, sections down the side, weeks across, minutes underneath. */
export function PlanScore({ weeks, now, classes, targets, target, changed, after, mondays, ...rest }: Props) {
  const { scope } = useScope();
  return (
    <div className="overflow-x-auto pb-1" tabIndex={0} role="region" aria-label="Season score">
      <div
        className="grid"
        style={{
          gridTemplateColumns: `126px repeat(${weeks.length}, minmax(0, 1fr))`,
          minWidth: 126 + weeks.length * 74,
        }}
      >
        <div />
        {weeks.map((week) => (
          <div
            key={week.monday}
            className={clsx(
              "px-2 pb-1 text-[0.93rem] whitespace-nowrap",
              week.monday === now && "font-semibold text-[var(--brass)]",
            )}
          >
            {shortDay(week.monday)}
            {week.monday === now && " · now"}
          </div>
        ))}
        {classes.map((one) => (
          <ClassRows
            key={one.id}
            one={one}
            named={classes.length > 1}
            weeks={weeks}
            now={now}
            chosenInstrument={scope.instrument}
            targets={targets}
            target={target}
            changed={changed}
            after={after}
            mondays={mondays}
            {...rest}
          />
        ))}
      </div>
    </div>
  );
}

function ClassRows({
  one,
  named,
  weeks,
  now,
  chosenInstrument,
  targets,
  target,
  changed,
  after,
  mondays,
  ...rest
}: Omit<Props, "classes"> & { one: PlanClass; named: boolean; chosenInstrument?: string }) {
  const height = Math.max(150, HEAD + one.sections.length * ROW + 22);
  return (
    <>
      <div className="relative" style={{ height }}>
        {named && <div className="display truncate pr-2 text-[0.95rem]">{one.name}</div>}
        {one.sections.map((section, row) => (
          <div
            key={section.instrument}
            className={clsx(
              "absolute right-2 left-0 flex items-center gap-1 pl-4",
              chosenInstrument === section.instrument && "font-semibold",
            )}
            style={{ top: HEAD + row * ROW, height: ROW }}
          >
            <span className="truncate">{section.name}</span>
            {section.carriedOver > 0 && (
              <span
                className="bg-base-300 small rounded-full px-1.5"
                title={`${section.carriedOver} milestones are carried over in this section`}
              >
                {section.carriedOver}
                <span className="sr-only"> carried over</span>
              </span>
            )}
            {section.pacePercent !== 100 && (
              <span className="small soft" title={`takes ${section.pacePercent} % of the planned minutes`}>
                {section.pacePercent > 100 ? "slow" : "ahead"}
              </span>
            )}
          </div>
        ))}
        {familyRuns(one).map(([from, to]) => (
          <span
            key={from}
            aria-hidden
            className="absolute left-0 w-2 rounded-l-sm border-y-2 border-l-[3.5px]"
            style={{
              top: HEAD + from * ROW + 4,
              height: (to - from + 1) * ROW - 8,
              borderColor: familyHue[one.sections[from]!.family],
            }}
          />
        ))}
      </div>
      {weeks.map((week) => (
        <PlanColumn
          key={week.monday}
          week={week}
          one={one}
          isNow={week.monday === now}
          height={height}
          target={targets?.get(week.monday)}
          isTarget={target === week.monday}
          changed={changed?.get(week.monday)}
          {...rest}
        />
      ))}
      <div className="small soft pt-1.5 pr-2 leading-tight">
        minutes
        <br />
        wanted / there
      </div>
      {weeks.map((week) => (
        <Minutes
          key={week.monday}
          closed={week.closed}
          minutes={one.minutes[mondays.indexOf(week.monday)]}
          after={after?.get(`${one.id} ${week.monday}`)}
        />
      ))}
    </>
  );
}

function familyRuns(one: PlanClass): [number, number][] {
  return one.sections.reduce<[number, number][]>((runs, section, i) => {
    const last = runs.at(-1);
    if (last && one.sections[last[1]]!.family === section.family) last[1] = i;
    else runs.push([i, i]);
    return runs;
  }, []);
}

function Minutes({
  closed,
  minutes,
  after,
}: {
  closed: boolean;
  minutes?: PlanClass["minutes"][number];
  after?: number;
}) {
  if (closed || !minutes) return <div className="border-l border-[var(--ink-soft)]" />;
  const { there } = minutes;
  const wanted = after ?? minutes.wanted;
  const most = Math.max(there, wanted, minutes.wanted, 1);
  const width = (n: number) => `${(100 * n) / most}%`;
  const over = wanted > there;
  return (
    <div className="border-l border-[var(--ink-soft)] px-2 pt-2 pb-1">
      <div className="bg-base-300 relative h-2 overflow-hidden rounded-[2px]" aria-hidden>
        <span
          className="absolute inset-y-0 left-0 bg-current"
          style={{ width: width(Math.min(wanted, there)) }}
        />
        {over && (
          <span
            className="absolute inset-y-0 bg-[var(--brass-fill)]"
            style={{ left: width(there), width: width(wanted - there) }}
          />
        )}
        {after !== undefined && after !== minutes.wanted && (
          <span
            className="bg-primary absolute inset-y-0 w-[2.5px]"
            style={{ left: `calc(${width(minutes.wanted)} - 2px)` }}
          />
        )}
      </div>
      <div className={clsx("small whitespace-nowrap", over ? "font-semibold text-[var(--brass)]" : "soft")}>
        {wanted} / {there}
      </div>
    </div>
  );
}
