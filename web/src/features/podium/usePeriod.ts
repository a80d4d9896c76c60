import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { PodiumClass } from "../../api/types";
import { lateBy, periodRequest, plannedAt, stretched, type ByHand, type Spent } from "./periodBar";

/** The minutes of a period as they are planned, stretched by hand, and as the clock goes; read anew each minute. */
export function usePeriod(c: PodiumClass, minute: number | undefined) {
  const { wishes } = c.plan;
  const [byHand, setByHand] = useState<ByHand>({});
  /** What the director says goes on; by the plan until then. */
  const [said, setSaid] = useState<string>();
  const ask = (hand: ByHand, rest?: { goingOn: string; minute: number }) =>
    post<Spent>(at("/api/podium/period"), periodRequest(wishes, hand, c.minutes, rest));
  const whole = useMutation({ mutationFn: (hand: ByHand) => ask(hand) });
  const rest = useMutation({
    mutationFn: (now: { goingOn: string; minute: number }) => ask(byHand, now),
  });
  const spent = whole.data ?? c.plan.spent;
  const goingOn = said ?? (minute === undefined ? undefined : plannedAt(spent, minute));
  const late = goingOn === undefined || minute === undefined ? 0 : lateBy(spent, goingOn, minute);
  return {
    spent,
    minute: minute === undefined ? undefined : Math.min(minute, c.minutes),
    goingOn,
    late,
    /** What the rest of the period becomes; known once the director said what goes on. */
    rest: said === undefined ? undefined : rest.data,
    stretch: (key: string, minutes: number) => {
      const next = stretched(byHand, key, minutes, c.minutes);
      setByHand(next);
      whole.mutate(next);
    },
    say: (key: string) => {
      setSaid(key);
      if (minute !== undefined) rest.mutate({ goingOn: key, minute });
    },
  };
}
