import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import type { Entry, Kept, Owner } from "./entry";

/** Where marks are kept until the server has them. Every call may fail: the device is full, or keeps nothing. */
export interface MarkStore {
  /** Keeps a mark behind all others and answers its place. */
  put(kept: Kept): Promise<number>;
  /** All marks of the device in the order they were made, whoever made them. */
  all(): Promise<Kept[]>;
  change(kept: Kept): Promise<void>;
  remove(seqs: readonly number[]): Promise<void>;
}

interface Schema extends DBSchema {
  marks: { key: number; value: Kept };
}

/** The browser's own database, so that a mark outlives the tab, the browser and a flat battery. */
export class DeviceStore implements MarkStore {
  private opened?: Promise<IDBPDatabase<Schema>>;

  constructor(private readonly name = "vivid-roster-marks") {}

  private database() {
    this.opened ??= openDB<Schema>(this.name, 1, {
      upgrade: (db) => void db.createObjectStore("marks", { keyPath: "seq", autoIncrement: true }),
      terminated: () => (this.opened = undefined),
    }).catch((error: unknown) => {
      this.opened = undefined;
      throw error;
    });
    return this.opened;
  }

  private async writing() {
    return (await this.database()).transaction("marks", "readwrite", { durability: "strict" });
  }

  async put(kept: Kept): Promise<number> {
    const change = await this.writing();
    const seq = await change.store.add(kept);
    await change.done;
    return seq;
  }

  async all(): Promise<Kept[]> {
    return (await this.database()).getAll("marks");
  }

  async change(kept: Kept): Promise<void> {
    const change = await this.writing();
    // A mark another tab has sent meanwhile is not brought back.
    if (kept.seq !== undefined && (await change.store.getKey(kept.seq)) !== undefined)
      await change.store.put(kept);
    await change.done;
  }

  async remove(seqs: readonly number[]): Promise<void> {
    const change = await this.writing();
    await Promise.all(seqs.map((seq) => change.store.delete(seq)));
    await change.done;
  }
}

const earlierKey = "vivid-outbox";

/** What an earlier version kept, which knew no accounts: it goes to whoever signs in first, as it did then. */
export async function takeOver(store: MarkStore, owner: Owner, earlier: Storage): Promise<void> {
  const text = earlier.getItem(earlierKey);
  if (text === null) return;
  for (const kept of readEarlier(text, owner)) await store.put(kept);
  earlier.removeItem(earlierKey);
}

function readEarlier(text: string, owner: Owner): Kept[] {
  try {
    const { waiting = [], refused = [] } = JSON.parse(text) as {
      waiting?: Entry[];
      refused?: (Entry & { sentence: string })[];
    };
    return [
      ...refused.map(({ sentence, ...entry }) => ({ id: entry.id, owner, entry, refused: sentence })),
      ...waiting.map((entry) => ({ id: entry.id, owner, entry })),
    ];
  } catch {
    return [];
  }
}
