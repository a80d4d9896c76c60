import { expect, it } from "vitest";
import type { Run } from "../../api/types";
import { queueFor } from "./whomToCall";

const player = (studentId: string, tries: number) => ({ studentId, standing: { tries } });
const run = {
  queue: ["bo", "ana", "cy"],
  players: [player("ana", 0), player("bo", 2), player("cy", 0), player("di", 1)],
} as unknown as Run;
const state = { made: [], elsewhere: [] };

it("calls in fair order whoever is wanted, and nobody twice", () => {
  expect(queueFor("EVERYBODY", run, state, new Set())).toEqual(["bo", "ana", "cy"]);
  expect(queueFor("NOT_HEARD", run, state, new Set())).toEqual(["ana", "cy"]);
  expect(queueFor("BELT", run, state, new Set(["cy", "di"]))).toEqual(["cy"]);
  expect(
    queueFor("EVERYBODY", run, { made: [{ studentId: "ana" }] as never, elsewhere: ["cy"] }, new Set()),
  ).toEqual(["bo"]);
});

it("calls who was put on the list by hand, although the run would not have", () => {
  expect(queueFor("BY_HAND", run, state, new Set(["di", "bo"]))).toEqual(["bo", "di"]);
});
