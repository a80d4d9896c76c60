import { v7 as newId } from "uuid";
import type { FirstCheck, FirstOrders, FirstWeeks, WeekAsLeft, WeeksAsLeft } from "../../api/types";

/** A check or a line of the proposal, as the director leaves it. */
export interface FirstThing {
  orderId: string;
  title: string;
  /** Absent for a line. */
  topic?: FirstCheck["topic"];
  sections: readonly string[];
  /** Absent for a line. */
  checkId?: string;
  why?: string;
  starterKey?: string;
  milestoneId?: string;
}

export type FirstDraft = readonly (readonly FirstThing[])[];

const thingOf = (check: FirstCheck): FirstThing => ({
  orderId: newId(),
  title: check.title,
  topic: check.topic,
  sections: check.sections,
  checkId: check.checkId,
  why: check.why,
  starterKey: check.starterKey,
  milestoneId: check.milestoneId,
});

/** The things of each week as they are proposed. */
export const draftOf = (proposal: FirstWeeks): FirstDraft =>
  proposal.weeks.map((week) => [
    ...week.checks.map(thingOf),
    ...week.lines.map((line) => ({
      orderId: newId(),
      title: `${line.shortName} ${line.title}`,
      sections: [],
      milestoneId: line.milestoneId,
    })),
  ]);

/** Things of one week some weeks earlier or later; at the edge they stay. */
export function moved(draft: FirstDraft, orderIds: readonly string[], step: number): FirstDraft {
  const from = draft.findIndex((week) => week.some((thing) => thing.orderId === orderIds[0]));
  const to = from + step;
  const things = draft[from]?.filter((one) => orderIds.includes(one.orderId)) ?? [];
  if (things.length === 0 || to < 0 || to >= draft.length) return draft;
  return draft.map((week, i) =>
    i === from ? week.filter((one) => !things.includes(one)) : i === to ? [...week, ...things] : week,
  );
}

export const without = (draft: FirstDraft, orderIds: readonly string[]): FirstDraft =>
  draft.map((week) => week.filter((thing) => !orderIds.includes(thing.orderId)));

/** What week a thing stands in, from 0. */
export const weekOf = (draft: FirstDraft, orderId: string) =>
  draft.findIndex((week) => week.some((thing) => thing.orderId === orderId));

/** The orders of the weeks as they were left. */
export const ordersOf = (proposal: FirstWeeks, draft: FirstDraft): FirstOrders => ({
  classId: proposal.classId,
  orders: draft.flatMap((things, i) =>
    things.map(({ orderId, starterKey, milestoneId }) => ({
      orderId,
      ...(milestoneId ? { milestoneId } : { starterKey }),
      setOn: proposal.weeks[i]!.setOn,
      dueOn: proposal.weeks[i]!.dueOn,
    })),
  ),
});

/** By topic, in the order they stand; lines last. */
export function byTopic(things: readonly FirstThing[]): [FirstThing["topic"], FirstThing[]][] {
  const groups = new Map<FirstThing["topic"], FirstThing[]>();
  things.forEach((thing) => groups.set(thing.topic, [...(groups.get(thing.topic) ?? []), thing]));
  return [...groups].toSorted(([a], [b]) => Number(a === undefined) - Number(b === undefined));
}

/** What sections do each in their own way is one thing to move until it is opened; alone it stands for itself. */
export function ownWays(things: readonly FirstThing[]): [alone: FirstThing[], own: FirstThing[]] {
  const own = things.filter((thing) => thing.sections.length > 0);
  return own.length < 2 ? [[...things], []] : [things.filter((thing) => !own.includes(thing)), own];
}

/** What the server is asked of weeks that were laid otherwise. */
export const asLeft = (proposal: FirstWeeks, draft: FirstDraft): WeeksAsLeft => ({
  classId: proposal.classId,
  from: proposal.weeks[0]!.setOn,
  weeks: draft.map((things) => things.flatMap((thing) => thing.checkId ?? [])),
});

/** The weeks as they were proposed. */
export const asProposed = (proposal: FirstWeeks): WeekAsLeft[] =>
  proposal.weeks.map((week) => ({ minutesWanted: week.minutesWanted, tooEarly: [] }));

/** What some things of a week need and stand before; absent where they stand well. */
export const missedBy = (things: readonly FirstThing[], look: WeekAsLeft) =>
  look.tooEarly.find((early) => things.some((thing) => thing.checkId === early.checkId))?.after;
