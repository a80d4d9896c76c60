import type { PlanClass, PlanItem, PlanMove, SeasonPlan } from "../../api/types";

/** A thing of the plan as it stands in a week of one class. */
export interface Placed {
  item: PlanItem;
  /** Rows of the sections it is for; empty covers all, as a bar through the whole score. */
  rows: readonly number[];
  /** Lane inside its week, so that blocks do not cover one another. */
  lane: number;
}

/** The rows of a class an item is for: all of them when empty, undefined when it is not for this class. */
export function rowsIn(item: PlanItem, one: PlanClass): number[] | undefined {
  const reach = item.reach.find((r) => r.classId === one.id);
  if (!reach) return undefined;
  return reach.instruments.length === 0
    ? []
    : one.sections.flatMap((section, row) => (reach.instruments.includes(section.instrument) ? [row] : []));
}

/** What stands in one week of a class: bars for everybody, and blocks for some sections packed into lanes. */
export function standing(
  items: readonly PlanItem[],
  one: PlanClass,
  monday: string,
): { tutti: Placed[]; parts: Placed[] } {
  const tutti: Placed[] = [];
  const parts: Placed[] = [];
  const taken = new Map<number, number>();
  for (const item of items) {
    if (item.monday !== monday) continue;
    const rows = rowsIn(item, one);
    if (!rows) continue;
    if (rows.length === 0) {
      tutti.push({ item, rows, lane: tutti.length });
      continue;
    }
    const lane = Math.max(...rows.map((row) => taken.get(row) ?? 0));
    rows.forEach((row) => taken.set(row, lane + 1));
    parts.push({ item, rows, lane });
  }
  return { tutti, parts };
}

/** The new notes an item brings, by row of a class, as they are written small: without their octave. */
export function newNotesIn(item: PlanItem, one: PlanClass): { row: number; notes: string }[] {
  return item.newNotes.flatMap((met) => {
    const row = one.sections.findIndex((s) => met.classId === one.id && s.instrument === met.instrument);
    return row < 0 ? [] : [{ row, notes: [...new Set(met.notes.map(withoutOctave))].join(" ") }];
  });
}

/** "B-flat 4" as it is written small: "B♭". */
const withoutOctave = (note: string) =>
  note
    .replace(/\s*-?\d+$/, "")
    .replace("-flat", "♭")
    .replace("-sharp", "♯");

/** What has no week yet. */
export const unplaced = (plan: SeasonPlan) => plan.items.filter((item) => !item.monday);

/** Whether a director may move it. */
export const isMovable = (item: PlanItem) => item.chosen && item.hold !== "ORDERED";

/** A change of the plan that can be undone: what stands where before it and after. */
export interface Step {
  words: string;
  back: PlanMove[];
  forth: PlanMove[];
}

export interface Trail {
  undo: Step[];
  redo: Step[];
}

export const noTrail: Trail = { undo: [], redo: [] };

/** A director hardly undoes more. */
const MOST_STEPS = 50;

export const stepped = (trail: Trail, step: Step): Trail => ({
  undo: [...trail.undo.slice(1 - MOST_STEPS), step],
  redo: [],
});

export const undone = (trail: Trail): Trail => ({
  undo: trail.undo.slice(0, -1),
  redo: [...trail.redo, ...trail.undo.slice(-1)],
});

export const redone = (trail: Trail): Trail => ({
  undo: [...trail.undo, ...trail.redo.slice(-1)],
  redo: trail.redo.slice(0, -1),
});

const where = (item: PlanItem): PlanMove => ({
  itemId: item.id,
  monday: item.monday,
  pinned: item.hold === "PINNED",
});

/** The open week so many teaching weeks from another; undefined where the year has none. */
export function shifted(plan: SeasonPlan, monday: string, distance: number): string | undefined {
  const open = plan.weeks.filter((week) => !week.closed || week.monday === monday).map((week) => week.monday);
  return open[open.indexOf(monday) + distance];
}

/** Teaching weeks from one week to the other. */
export function apart(plan: SeasonPlan, from: string, to: string): number {
  const open = plan.weeks.filter((w) => !w.closed).map((w) => w.monday);
  const at = (monday: string) => open.filter((m) => m <= monday).length;
  return at(to) - at(from);
}

/** Moves some things so that the first stands in a week, the others as far from it as before. */
export function moveTo(
  plan: SeasonPlan,
  ids: readonly string[],
  monday: string | undefined,
  words: string,
): Step {
  const items = ids.flatMap((id) => plan.items.filter((item) => item.id === id));
  const lead = items[0]?.monday;
  return {
    words,
    back: items.map(where),
    forth: items.map((item, i) => ({
      itemId: item.id,
      pinned: item.hold === "PINNED" && monday !== undefined,
      monday:
        i === 0 || !monday || !lead || !item.monday
          ? monday
          : (shifted(plan, monday, apart(plan, lead, item.monday)) ?? item.monday),
    })),
  };
}

/** Holds things where they are, or lets them go. */
export function pinTo(plan: SeasonPlan, ids: readonly string[], pinned: boolean): Step {
  const items = plan.items.filter((item) => ids.includes(item.id) && item.monday);
  return {
    words: pinned ? "Pinned" : "Let go",
    back: items.map(where),
    forth: items.map((item) => ({ ...where(item), pinned })),
  };
}

/** The plan as it will be when the server has made the moves. */
export function withMoves(plan: SeasonPlan, moves: readonly PlanMove[]): SeasonPlan {
  const to = new Map(moves.map((move) => [move.itemId, move]));
  return {
    ...plan,
    items: plan.items.map((item) => {
      const move = to.get(item.id);
      return move
        ? { ...item, monday: move.monday, hold: move.pinned ? "PINNED" : "FREE", broken: undefined }
        : item;
    }),
  };
}

/** One more chosen, or one less; alone where nothing is to be added to. */
export function toggled(selected: readonly string[], id: string, more: boolean): string[] {
  if (!more) return selected.length === 1 && selected[0] === id ? [] : [id];
  return selected.includes(id) ? selected.filter((one) => one !== id) : [...selected, id];
}

/** The open week before or after one; the one itself where the year has none. */
export function weekBeside(plan: SeasonPlan, monday: string, step: 1 | -1): string {
  const open = plan.weeks.filter((w) => !w.closed).map((w) => w.monday);
  return (step > 0 ? open.find((m) => m > monday) : open.findLast((m) => m < monday)) ?? monday;
}

/** The weeks shown: two before the one looked at and the rest after, within the year. */
export function weeksShown(plan: SeasonPlan, monday: string, count: number): SeasonPlan["weeks"] {
  const at = plan.weeks.findIndex((w) => w.monday === monday);
  const from = Math.max(0, Math.min(at - 2, plan.weeks.length - count));
  return plan.weeks.slice(from, from + count);
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
