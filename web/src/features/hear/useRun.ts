import { useCallback, useEffect, useReducer, useState } from "react";
import { v7 as newId } from "uuid";
import type { AttemptRequest, Evidence, Outcome, Player, Run, Standing } from "../../api/types";
import { provisional } from "../../ui/markWords";
import { staysInGrid, triesInRun } from "./checkGrid";
import { outbox } from "./outbox";
import { emptyRun, marksToSend, outcomeWords, runReducer, staysForAnotherTry } from "./run";

export interface Excuse {
  reason: string;
  waived: boolean;
}

/** What may be written down beside an outcome. */
export type Beside = Partial<Excuse> & { note?: string };

/** A hearing run: who is next, what was marked, and where each mark left the student. */
export function useRun(run: Run) {
  const [state, dispatch] = useReducer(
    runReducer,
    runReducer(emptyRun, { type: "start", run: withoutWaiting(run) }),
  );
  const [standings, setStandings] = useState<ReadonlyMap<string, Standing>>(
    () => new Map(run.players.map((player) => [player.studentId, player.standing])),
  );

  useEffect(
    () =>
      outbox.onRecorded((recorded) => {
        setStandings((known) => {
          const next = new Map(known);
          recorded
            .filter((r) => r.milestoneId === run.milestone.id)
            .forEach((r) => next.set(r.studentId, r.standing));
          return next;
        });
        recorded
          .filter((r) => r.milestoneId === run.milestone.id && r.standing.state === "PASSED")
          .forEach((r) => dispatch({ type: "leave", attemptId: r.id, studentId: r.studentId }));
      }),
    [run.milestone.id],
  );

  const show = useCallback(
    (studentId: string, outcome: Outcome) =>
      setStandings((known) => {
        const before = known.get(studentId);
        // Where tries or criteria are counted, only the server knows whether this one made the pass.
        const unsure = run.milestone.passN !== undefined || run.milestone.passMark !== undefined;
        const shown = unsure && outcome === "PASS" ? "NOT_YET" : outcome;
        return before ? new Map(known).set(studentId, provisional(shown, before)) : known;
      }),
    [run.milestone.passN, run.milestone.passMark],
  );

  const record = (player: Player, outcome: Outcome, evidence: Evidence, beside: Beside = {}) => {
    const id = newId();
    const isTry = outcome === "PASS" || outcome === "NOT_YET";
    outbox.add({
      id,
      kind: "attempts",
      label: `${player.name}, ${outcomeWords[outcome]}`,
      attempts: [
        {
          id,
          studentId: player.studentId,
          milestoneId: run.milestone.id,
          milestoneVersion: run.milestone.version,
          classId: player.classId,
          outcome,
          evidence,
          marks: isTry ? marksToSend(run.milestone, state.marks) : undefined,
          reason: beside.reason,
          waived: beside.waived,
          note: beside.note,
        },
      ],
    });
    show(player.studentId, outcome);
    const stays = staysForAnotherTry(run.milestone, state.made, player.studentId, outcome);
    dispatch({ type: "record", attemptId: id, studentId: player.studentId, outcome, stays });
  };

  const recordSection = (
    outcomes: ReadonlyMap<string, Outcome>,
    marksOf?: (studentId: string) => AttemptRequest["marks"],
  ) => {
    const players = run.players.filter((player) => outcomes.has(player.studentId));
    const attempts = players.map((player) => ({
      id: newId(),
      studentId: player.studentId,
      milestoneId: run.milestone.id,
      milestoneVersion: run.milestone.version,
      classId: player.classId,
      outcome: outcomes.get(player.studentId)!,
      evidence: "LIVE_WITH_SECTION" as const,
      marks: marksOf?.(player.studentId),
    }));
    outbox.add({ id: newId(), kind: "attempts", label: `${attempts.length} students`, attempts });
    const tries = triesInRun(state.made);
    attempts.forEach((attempt) => {
      show(attempt.studentId, attempt.outcome);
      dispatch({
        type: "record",
        attemptId: attempt.id,
        studentId: attempt.studentId,
        outcome: attempt.outcome,
        stays: staysInGrid(run.milestone, tries.get(attempt.studentId) ?? [], attempt.outcome),
      });
    });
  };

  const undo = () => {
    const last = state.made.at(-1);
    if (!last) return;
    const player = run.players.find((p) => p.studentId === last.studentId);
    const id = newId();
    outbox.add({
      id,
      kind: "correction",
      label: `${player?.name ?? "student"}, undone`,
      attemptId: last.attemptId,
      correction: { id, outcome: "UNDONE", reason: "Undone at once by who heard it" },
    });
    if (player) setStandings((known) => new Map(known).set(player.studentId, player.standing));
    dispatch({ type: "undo" });
  };

  return { state, dispatch, standings, record, recordSection, undo };
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
