import type { Address } from "../../api/at";
import type { AttemptRequest, CorrectionRequest } from "../../api/types";

/** Something marked that the server is yet to record. Ids are made here, so sending twice records once. */
export type Entry = { id: string; label: string } & (
  | { kind: "attempts"; attempts: AttemptRequest[] }
  | { kind: "correction"; attemptId: string; correction: CorrectionRequest }
  /** Anything else written down on the podium: a variant given, what helped. Made to be sent twice without harm. */
  | { kind: "note"; path: Address; body: object }
  | { kind: "takeBack"; path: Address }
);

/** Whose marks they are: an account of a programme, with the name it is shown under. */
export interface Owner {
  programId: string;
  accountId: string;
  name: string;
}

/** A mark as the device keeps it. */
export interface Kept {
  /** Its place in the order of marking, over all tabs; given by the store. */
  seq?: number;
  /** The last place that was given before it, where the store did not take it. */
  after?: number;
  id: string;
  owner: Owner;
  entry: Entry;
  /** Why the server did not take it, where it was set aside. */
  refused?: string;
}

/** The attempts of an entry get the moment of the press, unless they have one. */
export function pressedAt(entry: Entry, moment: Date): Entry {
  if (entry.kind !== "attempts") return entry;
  const heardAt = moment.toISOString();
  return { ...entry, attempts: entry.attempts.map((attempt) => ({ heardAt, ...attempt })) };
}

export const isOf = (owner: Owner, other: Owner) =>
  owner.programId === other.programId && owner.accountId === other.accountId;

/** Names of others whose marks wait on this device, each with how many. */
export function waitingOfOthers(
  kept: readonly Kept[],
  owner: Owner,
): readonly { name: string; count: number }[] {
  const counts = new Map<string, { name: string; count: number }>();
  kept
    .filter((one) => !isOf(one.owner, owner) && one.refused === undefined)
    .forEach(({ owner: { programId, accountId, name } }) => {
      const key = `${programId} ${accountId}`;
      counts.set(key, { name, count: (counts.get(key)?.count ?? 0) + 1 });
    });
  return [...counts.values()];
}
