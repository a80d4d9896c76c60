import { v7 as newId } from "uuid";
import type { FirstCheck, FirstOrders, FirstWeeks } from "../../api/types";

/** A check or a line of the proposal, as the director leaves it. */
export interface FirstThing {
  orderId: string;
  title: string;
  /** Absent for a line. */
  topic?: FirstCheck["topic"];
  sections: readonly string[];
  minutes: number;
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
  minutes: check.minutes,
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
      minutes: 0,
      milestoneId: line.milestoneId,
    })),
  ]);

/** A thing some weeks earlier or later; at the edge it stays. */
export function moved(draft: FirstDraft, orderId: string, step: number): FirstDraft {
  const from = draft.findIndex((week) => week.some((thing) => thing.orderId === orderId));
  const to = from + step;
  const thing = draft[from]?.find((one) => one.orderId === orderId);
  if (!thing || to < 0 || to >= draft.length) return draft;
  return draft.map((week, i) =>
    i === from ? week.filter((one) => one !== thing) : i === to ? [...week, thing] : week,
  );
}

export const without = (draft: FirstDraft, orderId: string): FirstDraft =>
  draft.map((week) => week.filter((thing) => thing.orderId !== orderId));

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

/** Minutes the checks of a week take, as it was left. */
export const minutesOf = (things: readonly FirstThing[]) =>
  things.reduce((sum, thing) => sum + thing.minutes, 0);
