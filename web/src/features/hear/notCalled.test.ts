import { expect, it } from "vitest";
import type { Player } from "../../api/types";
import { notCalled } from "./notCalled";

const player = (studentId: string, leftOut?: Player["leftOut"]) => ({ studentId, leftOut }) as Player;
const nobody = { queue: [], made: [], elsewhere: [] };
const wordsOf = (players: readonly Player[], state: Parameters<typeof notCalled>[1]) =>
  notCalled(players, state).map(({ player: { studentId }, words }) => `${studentId} ${words}`);

it("names who still has it to pass and is not called, with the reason", () => {
  const players = [
    player("ana", "ABSENT"),
    player("bo", "RESTING"),
    player("cy", "TRIED_TODAY"),
    player("di", "PASSED"),
    player("ed", "NOT_SET"),
    player("flo"),
  ];
  expect(wordsOf(players, nobody)).toEqual(["ana away", "bo rests, ask first", "cy tried today"]);
});

it("says whom another listener has heard, and nobody who is called or was heard here", () => {
  const players = [player("ana"), player("bo", "ABSENT"), player("cy", "TRIED_TODAY")];
  const press = {
    attemptId: "a",
    studentId: "cy",
    outcome: "PASS" as const,
    evidence: "LIVE_ALONE" as const,
  };
  expect(wordsOf(players, { queue: ["bo"], made: [press], elsewhere: ["ana"] })).toEqual([
    "ana heard elsewhere",
  ]);
});
