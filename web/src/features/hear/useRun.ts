import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from "react";
import { v7 as newId } from "uuid";
import type { AttemptRequest, Evidence, Outcome, Player, Run, RunPosition } from "../../api/types";
import {
  firstAnswers,
  isPassed,
  staysForAnotherTry,
  standingsOf,
  visitOf,
  withAnswers,
  withoutAnswer,
  type Press,
} from "./ahead";
import { meQuery } from "../../app/queries";
import { noteAway } from "../attendance/noteAway";
import { outbox } from "./outbox";
import { emptyRun, isCounted, marksToSend, outcomeWords, runReducer } from "./run";

export interface Excuse {
  reason: string;
  waived: boolean;
}

/** What may be written down beside an outcome. */
export type Noted = Partial<Excuse & Pick<AttemptRequest, "note" | "faults" | "tempoBpm" | "substitute">>;

/** A hearing run: who is next, what was marked, and where each mark left the student. */
export function useRun(run: Run) {
  const today = useQuery(meQuery).data?.today ?? "";
  const [state, dispatch] = useReducer(
    runReducer,
    runReducer(emptyRun, { type: "start", run: withoutWaiting(run) }),
  );
  const [answers, setAnswers] = useState(() => firstAnswers(run.players));
  /** Whom the list has as away, or not any more, since the run began. */
  const [away, setAway] = useState<ReadonlyMap<string, boolean>>(new Map());
  /** Marks of other lines made with a mark, which are undone with it. */
  const inOneGo = useRef(new Map<string, readonly string[]>());
  /** Their answers may come after they were undone, and say what is no longer so. */
  const undone = useRef(new Set<string>());
  const standings = useMemo(() => standingsOf(answers, state.made), [answers, state.made]);

  useEffect(
    () =>
      outbox.onRecorded((recorded) => {
        const here = recorded.filter((r) => r.milestoneId === run.milestone.id && !undone.current.has(r.id));
        setAnswers((known) => withAnswers(known, here));
        here
          .filter((r) => isPassed(r.standing))
          .forEach((r) => dispatch({ type: "leave", attemptId: r.id, studentId: r.studentId }));
      }),
    [run.milestone.id],
  );

  const attempt = (player: Player, outcome: Outcome, evidence: Evidence, marks: AttemptRequest["marks"]) => ({
    id: newId(),
    studentId: player.studentId,
    milestoneId: run.milestone.id,
    milestoneVersion: run.milestone.version,
    classId: player.classId,
    outcome,
    evidence,
    marks,
  });

  const pressOf = ({ id, studentId, outcome, evidence, marks }: ReturnType<typeof attempt>): Press => ({
    attemptId: id,
    studentId,
    outcome,
    evidence,
    counted: isCounted(run.milestone, marks, outcome),
  });

  /** Who plays is there, whatever the list says. */
  const cameLate = (player: Player) => {
    noteAway(player, today, false);
    setAway((known) => new Map(known).set(player.studentId, false));
  };

  /** @param also other lines heard in the same go, which get the same outcome */
  const record = (
    player: Player,
    outcome: Outcome,
    evidence: Evidence,
    beside: Noted = {},
    also: readonly string[] = [],
  ) => {
    const made = {
      ...attempt(player, outcome, evidence, marksToSend(run.milestone, state.marks, outcome)),
      ...beside,
    };
    outbox.add({
      id: made.id,
      kind: "attempts",
      label: `${player.name}, ${outcomeWords[outcome]}`,
      attempts: [made],
    });
    if (outcome === "PASS" || outcome === "NOT_YET") {
      inOneGo.current.set(
        made.id,
        also.map((milestoneId) => {
          const one = { ...made, id: newId(), milestoneId, milestoneVersion: undefined, faults: undefined };
          outbox.add({
            id: one.id,
            kind: "attempts",
            label: `${player.name}, ${outcomeWords[outcome]}, in one go`,
            attempts: [one],
          });
          return one.id;
        }),
      );
    }
    const press = pressOf(made);
    if (press.outcome === "ABSENT") setAway((known) => new Map(known).set(player.studentId, true));
    else if (away.get(player.studentId) ?? player.leftOut === "ABSENT") cameLate(player);
    const after = [...state.made, press];
    const stays = staysForAnotherTry(answers, after, visitOf(after, player.studentId));
    dispatch({ type: "record", press, stays });
  };

  const recordSection = (
    outcomes: ReadonlyMap<string, Outcome>,
    marksOf?: (studentId: string) => AttemptRequest["marks"],
  ) => {
    const attempts = run.players
      .filter((player) => outcomes.has(player.studentId))
      .map((player) =>
        attempt(player, outcomes.get(player.studentId)!, "LIVE_WITH_SECTION", marksOf?.(player.studentId)),
      );
    outbox.add({ id: newId(), kind: "attempts", label: `${attempts.length} students`, attempts });
    const after = [...state.made, ...attempts.map(pressOf)];
    attempts.map(pressOf).forEach((press) => {
      const visit = after.filter((other) => other.studentId === press.studentId);
      dispatch({ type: "record", press, stays: staysForAnotherTry(answers, after, visit) });
    });
  };

  const undo = () => {
    const last = state.made.at(-1);
    if (!last) return;
    const player = run.players.find((p) => p.studentId === last.studentId);
    [last.attemptId, ...(inOneGo.current.get(last.attemptId) ?? [])].forEach((attemptId) => {
      const id = newId();
      outbox.add({
        id,
        kind: "correction",
        label: `${player?.name ?? "student"}, undone`,
        attemptId,
        correction: { id, outcome: "UNDONE", reason: "Undone at once by who heard it" },
      });
    });
    undone.current.add(last.attemptId);
    setAnswers((known) => withoutAnswer(known, last.studentId, last.attemptId));
    dispatch({ type: "undo" });
  };

  /** Who is known to be away; noted elsewhere. */
  const seeAway = (studentId: string, gone: boolean) => {
    if (!run.players.some((player) => player.studentId === studentId)) return;
    dispatch({ type: "away", studentId, away: gone });
    setAway((known) => new Map(known).set(studentId, gone));
  };

  /** Where students stand since somebody else heard them. */
  const seePositions = useCallback((positions: readonly RunPosition[]) => {
    setAnswers((known) => withAnswers(known, positions));
    const done = positions.filter((position) => position.leftOut).map((position) => position.studentId);
    if (done.length > 0) dispatch({ type: "heardElsewhere", studentIds: done });
  }, []);

  return { state, dispatch, standings, record, recordSection, undo, noteAway: seeAway, seePositions };
}

/** A run without those whose mark waits to be sent: they were heard, although the server does not know yet. */
function withoutWaiting(run: Run): Run {
  const waiting = new Set(
    outbox
      .snapshot()
      .waiting.flatMap((entry) => (entry.kind === "attempts" ? entry.attempts : []))
      .filter((attempt) => attempt.milestoneId === run.milestone.id)
      .map((attempt) => attempt.studentId),
  );
  return waiting.size === 0 ? run : { ...run, queue: run.queue.filter((id) => !waiting.has(id)) };
}
