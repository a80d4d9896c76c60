import { at, type Address } from "../../api/at";
import { post, Problem, remove } from "../../api/http";
import type { AttemptRequest, CorrectionRequest, Recorded } from "../../api/types";

/** Something marked that the server is yet to record. Ids are made here, so sending twice records once. */
export type Entry = { id: string; label: string } & (
  | { kind: "attempts"; attempts: AttemptRequest[] }
  | { kind: "correction"; attemptId: string; correction: CorrectionRequest }
  /** Anything else written down on the podium: a variant given, what helped. Made to be sent twice without harm. */
  | { kind: "note"; path: Address; body: object }
  | { kind: "takeBack"; path: Address }
);
type Refused = Entry & { sentence: string };
interface Snapshot {
  waiting: readonly Entry[];
  refused: readonly Refused[];
}

type Send = (entry: Entry) => Promise<Recorded[]>;
type Store = Pick<Storage, "getItem" | "setItem">;

const storeKey = "vivid-outbox";

const sendToServer: Send = async (entry) => {
  if (entry.kind === "correction") {
    return [
      await post<Recorded>(
        at("/api/attempts/{attemptId}/correction", { attemptId: entry.attemptId }),
        entry.correction,
      ),
    ];
  }
  if (entry.kind === "note") {
    await post<void>(entry.path, entry.body);
    return [];
  }
  if (entry.kind === "takeBack") {
    await remove(entry.path);
    return [];
  }
  const [only] = entry.attempts;
  return entry.attempts.length === 1 && only
    ? [await post<Recorded>(at("/api/attempts"), only)]
    : post<Recorded[]>(at("/api/attempts/batch"), { attempts: entry.attempts });
};

/** The server or its database is away, or somebody must sign in first: the same entry may go through later. */
const later = [401, 403, 408, 429, 502, 503, 504];

/** Whether this entry is at fault, so that those behind it must not wait for it. */
const isRefusal = (error: unknown): error is Problem =>
  error instanceof Problem && !later.includes(error.status);

/**
 * Sends marks one after another in the order they were made and keeps each, also over a reload, until the server has
 * recorded or refused it.
 */
export class Outbox {
  private state: Snapshot;
  private readonly listeners = new Set<() => void>();
  private readonly hearers = new Set<(recorded: Recorded[]) => void>();
  private sending = false;
  private pause = 0;

  constructor(
    private readonly store: Store,
    private readonly send: Send = sendToServer,
    private readonly later: (run: () => void, ms: number) => void = (run, ms) => void setTimeout(run, ms),
  ) {
    this.state = this.restore();
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  snapshot = (): Snapshot => this.state;

  /** Calls back with what the server recorded. */
  onRecorded(hearer: (recorded: Recorded[]) => void) {
    this.hearers.add(hearer);
    return () => void this.hearers.delete(hearer);
  }

  add(entry: Entry) {
    this.change({ ...this.state, waiting: [...this.state.waiting, entry] });
    void this.flush();
  }

  drop(id: string) {
    this.change({ ...this.state, refused: this.state.refused.filter((entry) => entry.id !== id) });
  }

  /** Sends an entry once more that was set aside. */
  again(id: string) {
    const found = this.state.refused.find((entry) => entry.id === id);
    if (!found) return;
    const entry: Entry & { sentence?: string } = { ...found };
    delete entry.sentence;
    this.change({
      waiting: [...this.state.waiting, entry],
      refused: this.state.refused.filter((other) => other.id !== id),
    });
    void this.flush();
  }

  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (let next = this.state.waiting[0]; next; next = this.state.waiting[0]) {
        const entry = next;
        try {
          const recorded = await this.send(entry);
          this.pause = 0;
          this.settle(entry);
          this.hearers.forEach((hearer) => hearer(recorded));
        } catch (error) {
          if (!isRefusal(error)) {
            this.pause = Math.min(30_000, Math.max(1_000, this.pause * 2));
            this.later(() => void this.flush(), this.pause);
            return;
          }
          this.settle(entry, error.message);
        }
      }
    } finally {
      this.sending = false;
    }
  }

  private settle(entry: Entry, sentence?: string) {
    this.change({
      waiting: this.state.waiting.filter((other) => other.id !== entry.id),
      refused: sentence ? [...this.state.refused, { ...entry, sentence }] : this.state.refused,
    });
  }

  private change(next: Snapshot) {
    this.state = next;
    this.store.setItem(storeKey, JSON.stringify(next));
    this.listeners.forEach((listener) => listener());
  }

  private restore(): Snapshot {
    try {
      const kept = JSON.parse(this.store.getItem(storeKey) ?? "null") as Snapshot | null;
      return { waiting: kept?.waiting ?? [], refused: kept?.refused ?? [] };
    } catch {
      return { waiting: [], refused: [] };
    }
  }
}

export const outbox = new Outbox(localStorage);
window.addEventListener("online", () => void outbox.flush());
void outbox.flush();
