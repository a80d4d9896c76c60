import type { MilestoneKind, Order, ScopeRequest, SectionView, WeekView } from "../../api/types";

/** An order as it stands on the season's score. */
export interface Block {
  order: Order;
  kind: MilestoneKind;
  label: string;
  title: string;
  /** Rows of the sections it covers; empty covers all, as a bar through the whole score. */
  rows: readonly number[];
  /** Lane inside its week, so that blocks do not cover one another. */
  lane: number;
}

interface Named {
  kind: MilestoneKind;
  shortName: string;
  title: string;
}

/** The weeks around the one looked at: one before and the rest after, within the year. */
export function weeksAround(weeks: readonly WeekView[], at: number, count: number): WeekView[] {
  const from = Math.max(0, Math.min(at - 2, weeks.length - count));
  return weeks.slice(from, from + count);
}

/** The rows a scope covers in a class; undefined when it is tutti. */
export function rowsOf(
  scope: ScopeRequest,
  sections: readonly SectionView[],
  classId: string,
): number[] | undefined {
  if (scope.classId && scope.classId !== classId) return [];
  if (scope.classId && !scope.family && !scope.instrument) return undefined;
  return sections.flatMap((section, i) =>
    section.instrument === scope.instrument || (scope.family && section.family === scope.family) ? [i] : [],
  );
}

/** The blocks of one week, each in the week its due day falls in, packed into lanes. */
export function blocksOf(
  week: WeekView,
  nextMonday: string,
  orders: readonly Order[],
  milestones: ReadonlyMap<string, Named>,
  sections: readonly SectionView[],
  classId: string,
): { tutti: Block[]; parts: Block[] } {
  const tutti: Block[] = [];
  const parts: Block[] = [];
  const taken = new Map<number, number>();
  for (const order of orders) {
    const milestone = milestones.get(order.milestoneId);
    if (!milestone || order.dueOn < week.monday || order.dueOn >= nextMonday) continue;
    const rows = order.scopes.map((scope) => rowsOf(scope, sections, classId));
    const base = { order, kind: milestone.kind, label: milestone.shortName, title: milestone.title };
    if (rows.includes(undefined)) {
      tutti.push({ ...base, rows: [], lane: tutti.length });
      continue;
    }
    const covered = [...new Set(rows.flatMap((r) => r ?? []))].sort((a, b) => a - b);
    if (covered.length === 0) continue;
    const lane = Math.max(...covered.map((row) => taken.get(row) ?? 0));
    covered.forEach((row) => taken.set(row, lane + 1));
    parts.push({ ...base, rows: covered, lane });
  }
  return { tutti, parts };
}

/** Runs of neighbouring rows, as [first, last]. */
export function runsOf(rows: readonly number[]): [number, number][] {
  const runs: [number, number][] = [];
  for (const row of rows) {
    const last = runs.at(-1);
    if (last && last[1] === row - 1) last[1] = row;
    else runs.push([row, row]);
  }
  return runs;
}
