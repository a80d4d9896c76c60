import type { Recorded } from "../../api/types";
import { isOf, pressedAt, waitingOfOthers, type Entry, type Kept, type Owner } from "./entry";
import { DeviceStore, takeOver, type MarkStore } from "./markStore";
import { isRefusal, sendToServer, signInSentence, together, type Send } from "./sending";

export type Refused = Entry & { sentence: string };

/** What waits on this device, for whoever uses it now. */
export interface Snapshot {
  waiting: readonly Entry[];
  refused: readonly Refused[];
  /** Marks of others that wait until they sign in here. */
  others: readonly { name: string; count: number }[];
  /** Why nothing is sent until somebody signs in, in the server's words. */
  stopped?: string;
  /** The device keeps nothing (full, or a private window): marks are sent at once and live in this tab alone. */
  keepsNothing: boolean;
  /** This page came over a connection without locks, so that tabs cannot take turns. */
  withoutLocks: boolean;
}

interface Around {
  store: MarkStore;
  send: Send;
  later: (run: () => void, ms: number) => void;
  /** Runs alone over all tabs; undefined where the browser gives no locks. */
  alone: ((name: string, run: () => Promise<void>) => Promise<void>) | undefined;
  /** Tells the other tabs, and hears them. */
  tabs: { tell: (news: News) => void; hear: (hearer: (news: News) => void) => void };
  now: () => Date;
  earlier?: Storage;
}

type News = { kind: "changed" } | { kind: "recorded"; recorded: Recorded[] };

/**
 * Marks made on this device. Each is written down before it is sent, sent in the order made by one tab at a time, and
 * kept until the server has recorded or refused it. They belong to the account that made them, whoever signs in next.
 */
export class Outbox {
  private owner?: Owner;
  private kept: readonly Kept[] = [];
  /** Marks being written down; they are sent afterwards. */
  private writing: readonly Kept[] = [];
  private writes: Promise<void> = Promise.resolve();
  /** Marks the store did not take, each with the place of the last one it did. */
  private unkept: readonly Kept[] = [];
  private gone = new Set<string>();
  private stopped?: string;
  private keepsNothing = false;
  private state: Snapshot;
  private readonly listeners = new Set<() => void>();
  private readonly hearers = new Set<(recorded: Recorded[]) => void>();
  private flushing?: Promise<void>;
  private flushAgain = false;
  private pause = 0;

  constructor(private readonly around: Around) {
    this.state = this.picture();
    around.tabs.hear((news) => {
      if (news.kind === "recorded") this.hearers.forEach((hearer) => hearer(news.recorded));
      void this.look();
    });
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  snapshot = (): Snapshot => this.state;

  /** Calls back with what the server recorded, whichever tab sent it. */
  onRecorded(hearer: (recorded: Recorded[]) => void) {
    this.hearers.add(hearer);
    return () => void this.hearers.delete(hearer);
  }

  /** Whoever is signed in: what they marked here earlier is sent now. */
  async open(owner: Owner): Promise<void> {
    if (this.owner && isOf(this.owner, owner) && !this.stopped) return;
    this.owner = owner;
    this.stopped = undefined;
    this.pause = 0;
    this.publish();
    await this.attempt(async () => {
      if (this.around.earlier) await takeOver(this.around.store, owner, this.around.earlier);
    });
    await this.look();
    await this.flush();
  }

  /** Nobody is signed in any more; what waits stays. */
  close() {
    this.owner = undefined;
    this.publish();
  }

  add(entry: Entry) {
    if (!this.owner) throw new Error("Nobody is signed in.");
    const kept: Kept = { id: entry.id, owner: this.owner, entry: pressedAt(entry, this.around.now()) };
    this.writing = [...this.writing, kept];
    const put = this.around.store.put(kept).then(
      (seq) => ({ seq }),
      () => undefined,
    );
    // Taken in the order made: where the store fails, what is behind must not come before what it still writes.
    this.writes = this.writes.then(async () => this.wrote(kept, await put));
    void this.writes.then(() => this.flush());
    this.publish();
  }

  /** What came of writing a mark down; nothing where the store failed. */
  private wrote(kept: Kept, put: { seq: number } | undefined) {
    if (put) {
      this.kept = inOrder([...this.kept, { ...kept, seq: put.seq }]);
      this.around.tabs.tell({ kind: "changed" });
    } else {
      this.unkept = [...this.unkept, { ...kept, after: this.kept.at(-1)?.seq ?? 0 }];
    }
    this.keepsNothing = put === undefined;
    this.writing = this.writing.filter((one) => one !== kept);
    this.publish();
  }

  drop(id: string) {
    const kept = this.written().find((one) => one.id === id && one.refused !== undefined);
    if (kept) void this.forget([kept]);
  }

  /** Sends an entry once more that was set aside. */
  async again(id: string) {
    const found = this.written().find((one) => one.id === id);
    if (!found) return;
    const kept = { ...found };
    delete kept.refused;
    await this.replace(kept);
    await this.flush();
  }

  /** Sends what waits; one tab at a time. A mark made meanwhile goes with it. */
  flush(): Promise<void> {
    if (this.flushing) this.flushAgain = true;
    this.flushing ??= this.turns().finally(() => (this.flushing = undefined));
    return this.flushing;
  }

  private async turns() {
    do {
      this.flushAgain = false;
      await this.takeTurn();
    } while (this.flushAgain && this.pause === 0);
  }

  private async takeTurn() {
    const { alone } = this.around;
    const run = () => this.sendAll();
    if (alone) await alone("vivid-roster-marks", run);
    else await run();
  }

  private async sendAll() {
    await this.look();
    for (let owner = this.owner; owner; owner = this.owner) {
      const waiting = this.written().filter((one) => one.refused === undefined);
      const entries = together(waiting.map((one) => one.entry));
      if (entries.length === 0) return;
      if (!(await this.sendOne(waiting.slice(0, entries.length), owner))) return;
    }
  }

  /** Whether what lies behind may be sent now. */
  private async sendOne(kept: readonly Kept[], owner: Owner): Promise<boolean> {
    try {
      const recorded = await this.around.send(
        kept.map((one) => one.entry),
        owner,
      );
      this.pause = 0;
      this.stopped = undefined;
      await this.forget(kept);
      this.hearers.forEach((hearer) => hearer(recorded));
      this.around.tabs.tell({ kind: "recorded", recorded });
      return true;
    } catch (error) {
      if (isRefusal(error)) {
        if (kept.length > 1) return this.oneByOne(kept, owner);
        await this.replace({ ...kept[0]!, refused: error.message });
        return true;
      }
      this.stopped = signInSentence(error);
      this.pause = Math.min(30_000, Math.max(1_000, this.pause * 2));
      this.around.later(() => void this.flush(), this.pause);
      this.publish();
      return false;
    }
  }

  /** One of several was refused and none recorded: each is tried by itself, so that only that one is set aside. */
  private async oneByOne(kept: readonly Kept[], owner: Owner): Promise<boolean> {
    for (const one of kept) if (!(await this.sendOne([one], owner))) return false;
    return true;
  }

  /** Marks of whoever is signed in that may be sent, in the order made. */
  private written(): readonly Kept[] {
    const { owner } = this;
    return owner ? inOrder([...this.kept, ...this.unkept]).filter((one) => isOf(one.owner, owner)) : [];
  }

  private async forget(gone: readonly Kept[]) {
    gone.forEach((one) => this.gone.add(one.id));
    this.unkept = this.unkept.filter((one) => !this.gone.has(one.id));
    this.kept = this.kept.filter((one) => !this.gone.has(one.id));
    this.publish();
    await this.attempt(() => this.around.store.remove(gone.flatMap((one) => one.seq ?? [])));
    this.around.tabs.tell({ kind: "changed" });
  }

  private async replace(kept: Kept) {
    const swap = (all: readonly Kept[]) => all.map((one) => (one.id === kept.id ? kept : one));
    this.kept = swap(this.kept);
    this.unkept = swap(this.unkept);
    this.publish();
    if (kept.seq !== undefined) await this.attempt(() => this.around.store.change(kept));
    this.around.tabs.tell({ kind: "changed" });
  }

  /** Reads the store anew: another tab may have marked, or sent. */
  private async look() {
    await this.attempt(async () => {
      const stored = await this.around.store.all();
      this.kept = stored.filter((one) => !this.gone.has(one.id));
    });
    this.publish();
  }

  private async attempt(run: () => Promise<void>) {
    try {
      await run();
    } catch {
      this.keepsNothing = true;
    }
  }

  private publish() {
    this.state = this.picture();
    this.listeners.forEach((listener) => listener());
  }

  private picture(): Snapshot {
    const written = this.written();
    const { owner } = this;
    const writing = owner ? this.writing.filter((one) => isOf(one.owner, owner)) : [];
    const shown = new Set(written.map((one) => one.id));
    const mine = [...written, ...writing.filter((one) => !shown.has(one.id))];
    return {
      waiting: mine.filter((one) => one.refused === undefined).map((one) => one.entry),
      refused: mine.flatMap(({ entry, refused }) =>
        refused === undefined ? [] : [{ ...entry, sentence: refused }],
      ),
      others: this.owner ? waitingOfOthers(this.kept, this.owner) : [],
      stopped: this.stopped,
      keepsNothing: this.keepsNothing,
      withoutLocks: this.around.alone === undefined,
    };
  }
}

/** As they were made: by the store's places, and behind the place that was last where the store failed. */
const inOrder = (kept: readonly Kept[]): readonly Kept[] => {
  const place = (one: Kept) => one.seq ?? (one.after ?? 0) + 0.5;
  return kept.toSorted((a, b) => place(a) - place(b));
};

function tabsOfThisBrowser(): Around["tabs"] {
  if (typeof BroadcastChannel === "undefined") return { tell: () => undefined, hear: () => undefined };
  const channel = new BroadcastChannel("vivid-roster-marks");
  return {
    tell: (news) => channel.postMessage(news),
    hear: (hearer) => channel.addEventListener("message", (event: MessageEvent<News>) => hearer(event.data)),
  };
}

export const outbox = new Outbox({
  store: new DeviceStore(),
  send: sendToServer,
  later: (run, ms) => void setTimeout(run, ms),
  // Missing where the page was not opened over https.
  alone: navigator.locks
    ? async (name, run) => {
        await navigator.locks.request(name, run);
      }
    : undefined,
  tabs: tabsOfThisBrowser(),
  now: () => new Date(),
  earlier: localStorage,
});
window.addEventListener("online", () => void outbox.flush());
