import { at } from "../../api/at";
import { post, Problem, remove, type Said } from "../../api/http";
import type { AttemptRequest, Recorded } from "../../api/types";
import type { Entry, Owner } from "./entry";

export type Send = (entries: readonly Entry[], owner: Owner) => Promise<Recorded[]>;

/** Marks that go in one request, so that what was kept for ten minutes is sent in seconds; below what the server takes. */
const mostAtOnce = 50;

/** How many of the waiting marks go together: attempts made one after another, or one of anything else. */
export function together(waiting: readonly Entry[]): readonly Entry[] {
  const first = waiting[0];
  if (first?.kind !== "attempts") return waiting.slice(0, 1);
  let attempts = first.attempts.length;
  let end = 1;
  for (const next of waiting.slice(1)) {
    if (next.kind !== "attempts" || attempts + next.attempts.length > mostAtOnce) break;
    attempts += next.attempts.length;
    end++;
  }
  return waiting.slice(0, end);
}

/** Whose mark it is, which the server holds against who is signed in, and the clock it is sent by. */
const said = (owner: Owner): Said => ({
  "X-Marked-By": owner.accountId,
  "X-Sent-At": new Date().toISOString(),
});

/** Sends what {@link together} chose. */
export const sendToServer: Send = async (entries, owner) => {
  const [entry] = entries;
  if (!entry) return [];
  switch (entry.kind) {
    case "correction":
      return [
        await post<Recorded>(
          at("/api/attempts/{attemptId}/correction", { attemptId: entry.attemptId }),
          entry.correction,
          said(owner),
        ),
      ];
    case "note":
      await post<void>(entry.path, entry.body, said(owner));
      return [];
    case "takeBack":
      await remove(entry.path, said(owner));
      return [];
    case "attempts": {
      const attempts: AttemptRequest[] = entries.flatMap((one) =>
        one.kind === "attempts" ? one.attempts : [],
      );
      const [only] = attempts;
      return attempts.length === 1 && only
        ? [await post<Recorded>(at("/api/attempts"), only, said(owner))]
        : post<Recorded[]>(at("/api/attempts/batch"), { attempts }, said(owner));
    }
  }
};

/** The server or its database is away, or somebody must sign in first: the same entry may go through later. */
const later = [401, 408, 429, 502, 503, 504];

/** Whether this entry is at fault, so that those behind it must not wait for it. */
export const isRefusal = (error: unknown): error is Problem =>
  error instanceof Problem && !later.includes(error.status);

/** The server does not know who is there, or somebody else is: a sentence about what to do. */
export const signInSentence = (error: unknown): string | undefined =>
  error instanceof Problem && error.status === 401 ? error.message : undefined;
