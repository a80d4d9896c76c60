import { openDB, type DBSchema, type IDBPDatabase } from "idb";

/** Something that was read, for when the server is away. */
export interface KeptRead {
  /** The query's hash. */
  hash: string;
  /** Account and programme it was read for. */
  owner: string;
  /** When it was read, in milliseconds. */
  at: number;
  data: unknown;
}

export interface ReadStore {
  keep(read: KeptRead): Promise<void>;
  find(hash: string): Promise<KeptRead | undefined>;
  forget(hash: string): Promise<void>;
  clear(): Promise<void>;
  /** Lets go what was read before a moment, and the oldest of what is more than so many. */
  prune(before: number, most: number): Promise<void>;
}

interface Schema extends DBSchema {
  reads: { key: string; value: KeptRead; indexes: { at: number } };
}

/** In the browser's own database; every call may fail where the browser keeps nothing. */
export class DeviceReads implements ReadStore {
  private opened?: Promise<IDBPDatabase<Schema>>;

  private database() {
    this.opened ??= openDB<Schema>("vivid-roster-reads", 1, {
      upgrade: (db) => void db.createObjectStore("reads", { keyPath: "hash" }).createIndex("at", "at"),
      terminated: () => (this.opened = undefined),
    });
    return this.opened;
  }

  async keep(read: KeptRead) {
    await (await this.database()).put("reads", read);
  }

  async find(hash: string) {
    return (await this.database()).get("reads", hash);
  }

  async forget(hash: string) {
    await (await this.database()).delete("reads", hash);
  }

  async clear() {
    await (await this.database()).clear("reads");
  }

  async prune(before: number, most: number) {
    const change = (await this.database()).transaction("reads", "readwrite");
    let left = await change.store.count();
    for (let row = await change.store.index("at").openCursor(); row; row = await row.continue()) {
      if (row.value.at >= before && left <= most) break;
      await row.delete();
      left--;
    }
    await change.done;
  }
}
