import { useQuery } from "@tanstack/react-query";
import { useEffect, useState, useSyncExternalStore } from "react";
import type { Run } from "../../api/types";
import { live, sitAtDesk, type SeenMark } from "../../app/live";
import { meQuery } from "../../app/queries";
import { useToast } from "../../ui/toasts";
import { positionsOf } from "./hear.queries";
import { foundWords, isScored } from "./run";
import type { useRun } from "./useRun";

/** Marks of others that come together are asked about together. */
const TOGETHER = 300;
/** A desk is announced when somebody stays there, and again while they do. */
const SETTLED = 400;
const STILL_HERE = 25_000;

/** Others who hear at the same time: whom they hear, what they have marked, and that they know whom one hears oneself. */
export function useListeners(run: Run, running: ReturnType<typeof useRun>) {
  const toast = useToast();
  const me = useQuery(meQuery).data;
  const [justMarked, setJustMarked] = useState<SeenMark>();
  const { state, seePositions } = running;
  const milestoneId = run.milestone.id;
  const atDesk = state.queue[0];
  const scored = isScored(run.milestone);

  useEffect(() => {
    if (!me) return;
    const names = new Map(run.players.map((player) => [player.studentId, player.name]));
    let asking = new Set<string>();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ask = () => {
      timer = undefined;
      const studentIds = [...asking].slice(0, 100);
      asking = new Set();
      positionsOf(milestoneId, studentIds)
        .then(seePositions)
        .catch(() => undefined);
    };
    const leave = live.onMark((mark) => {
      if (mark && (mark.milestoneId !== milestoneId || mark.hearerId === me.accountId)) return;
      if (mark && !names.has(mark.studentId)) return;
      // Who does not see everybody is not told whom: then it is asked of all that wait.
      (mark ? [mark.studentId] : [...names.keys()]).forEach((id) => asking.add(id));
      timer ??= setTimeout(ask, TOGETHER);
      if (mark && !mark.corrects) setJustMarked(mark);
    });
    return () => {
      leave();
      clearTimeout(timer);
    };
  }, [me, milestoneId, run.players, seePositions]);

  const markedHere = justMarked && state.made.some((press) => press.studentId === justMarked.studentId);
  const told = markedHere ? justMarked.id : undefined;
  useEffect(() => {
    if (!told || !justMarked) return;
    const name = run.players.find((player) => player.studentId === justMarked.studentId)?.name ?? "";
    toast(
      `${justMarked.hearerName} marked ${name} too${foundWords(scored, justMarked.outcome)}. Both are kept.`,
    );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- said once for each mark
  }, [told]);

  useEffect(() => {
    if (!atDesk) return;
    const sit = () => sitAtDesk(atDesk, milestoneId);
    const settled = setTimeout(sit, SETTLED);
    const still = setInterval(sit, STILL_HERE);
    return () => {
      clearTimeout(settled);
      clearInterval(still);
    };
  }, [atDesk, milestoneId]);
  useEffect(() => () => sitAtDesk(), []);

  const desks = useSyncExternalStore(live.subscribe, live.desks);
  const heardBy = new Map(
    [...desks.values()].flatMap((desk) =>
      desk.studentId && desk.milestoneId === milestoneId ? [[desk.studentId, desk.hearerName] as const] : [],
    ),
  );
  const atThisDesk = justMarked?.studentId === atDesk && !markedHere ? justMarked : undefined;
  return { heardBy, justMarked: atThisDesk, scored };
}
