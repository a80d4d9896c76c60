import type { PodiumClass } from "../../api/types";
import { duration } from "../../app/days";

type Plan = PodiumClass["plan"];
export type Wish = Plan["wishes"][number];
export type Spent = Plan["spent"];

/** Minutes a director gave by hand, by the key of the part. */
export type ByHand = Readonly<Record<string, number>>;

/** A change by hand of a part of the bar; its minutes stay within the period. */
export const stretched = (byHand: ByHand, key: string, minutes: number, most: number): ByHand => ({
  ...byHand,
  [key]: Math.max(0, Math.min(most, minutes)),
});

/** What is asked anew: the whole period with minutes by hand, or, from what goes on now, the rest of it. */
export function periodRequest(
  wishes: readonly Wish[],
  byHand: ByHand,
  minutes: number,
  rest?: { goingOn: string; minute: number },
) {
  const from = rest ? wishes.findIndex((wish) => wish.key === rest.goingOn) + 1 : 0;
  return {
    minutes,
    from: rest ? Math.min(rest.minute, minutes) : 0,
    wishes: wishes.slice(from).map(({ key, kind, minutes: wanted, least }) => ({
      key,
      kind,
      minutes: wanted,
      least,
      byHand: byHand[key],
    })),
  };
}

/** Which part goes on at a minute, by the plan. */
export const plannedAt = (spent: Spent, minute: number): string | undefined =>
  spent.segments.find((one) => one.begins <= minute && minute < one.begins + one.minutes)?.key;

/** Minutes past the planned end of what goes on; 0 in time. */
export function lateBy(spent: Spent, goingOn: string, minute: number): number {
  const segment = spent.segments.find((one) => one.key === goingOn);
  return segment ? Math.max(0, minute - segment.begins - segment.minutes) : 0;
}

/** "hear 3 fewer, line 10 in 5 min": what became shorter, in words. */
export function shortenedWords(spent: Spent, wishes: readonly Wish[]): string {
  return spent.shortened
    .map(({ key, wanted, minutes }) => {
      const wish = wishes.find((one) => one.key === key);
      if (!wish) return undefined;
      if (minutes === 0) return `leave out ${partName(wish)}`;
      if (wish.perStudent) {
        const fewer = Math.ceil(((wanted - minutes) * 60) / wish.perStudent);
        return `hear ${fewer} fewer`;
      }
      return `${partName(wish)} in ${duration(minutes * 60)}`;
    })
    .filter(Boolean)
    .join(", ");
}

export const partName = (wish: Wish) =>
  wish.kind === "OPEN"
    ? "open"
    : wish.kind === "TEACH"
      ? `teach ${lower(wish.name)}`
      : `hear ${lower(wish.name)}`;

const lower = (name: string) => (/^Line /.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name);
