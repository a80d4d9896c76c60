import { hashKey, type QueryKey } from "@tanstack/react-query";
import { isAway, Problem } from "../../api/http";
import type { Me, Run } from "../../api/types";
import type { Scope } from "../scope";
import { sectionOf } from "./sectionOf";
import type { ReadStore } from "./readStore";

/** What is kept of what was read: what hearing needs, nothing of the office, of pain or of a student's folder. */
const kept: Readonly<Record<string, readonly string[] | "all">> = {
  me: "all",
  year: "all",
  instruments: "all",
  run: "all",
  roster: ["classes"],
  progress: ["rail", "podium", "choices", "variants", "helped", "measured", "absences"],
  library: ["line", "check"],
};

/** Data of minors stays on a device no longer than it is of use; ours. */
const MOST_DAYS = 14;
const MOST_READS = 800;

/** How long a slow answer is waited for where something is kept; ours. */
const PATIENCE = 4_000;

export function isKept(key: QueryKey): boolean {
  const [root, part] = key;
  const parts = typeof root === "string" ? kept[root] : undefined;
  return parts === "all" || (typeof part === "string" && (parts?.includes(part) ?? false));
}

const meKey = ["me"];
const ownerOf = (me: Me) => `${me.programId} ${me.accountId}`;

/** Keeps what was read for whoever is signed in, and has it at hand while the server is away. */
export class KeptReads {
  private owner?: string;

  constructor(
    private readonly store: ReadStore,
    private readonly now: () => number = Date.now,
    private readonly patience = PATIENCE,
  ) {}

  /**
   * The fresh answer, or what is kept where the server is away or slow.
   *
   * @param known what is on the screen already
   * @param late takes a fresh answer that comes after what was kept had been given
   */
  async read<T>(
    key: QueryKey,
    fetch: () => T | Promise<T>,
    known: T | undefined,
    late: (data: T) => void,
  ): Promise<T> {
    if (!isKept(key)) return fetch();
    const fresh = Promise.resolve(fetch()).then((data) => this.keep(key, data));
    let slow: ReturnType<typeof setTimeout> | undefined;
    try {
      const waited = new Promise<"slow">((done) => (slow = setTimeout(() => done("slow"), this.patience)));
      const first = await Promise.race([fresh, waited]);
      if (first !== "slow") return first;
      const data = known ?? (await this.find<T>(key));
      if (data === undefined) return await fresh;
      fresh.then(late, () => undefined);
      return data;
    } catch (error) {
      if (error instanceof Problem && error.status === 401 && hashKey(key) === hashKey(meKey)) {
        await this.quietly(() => this.store.forget(hashKey(meKey)));
      }
      if (!isAway(error)) throw error;
      const data = known ?? (await this.find<T>(key));
      if (data === undefined) throw error;
      return data;
    } finally {
      clearTimeout(slow);
    }
  }

  /** What was read within the last so many milliseconds; undefined where it was not. */
  async known<T>(key: QueryKey, within: number): Promise<T | undefined> {
    const found = await this.quietly(() => this.store.find(hashKey(key)));
    return found && found.owner === this.owner && found.at > this.now() - within
      ? (found.data as T)
      : undefined;
  }

  /** Signed out: nothing that was read stays. */
  clear = () => this.quietly(() => this.store.clear());

  prune = () => this.quietly(() => this.store.prune(this.now() - MOST_DAYS * 86_400_000, MOST_READS));

  private keep<T>(key: QueryKey, data: T): T {
    if (hashKey(key) === hashKey(meKey)) this.takes(ownerOf(data as Me));
    const { owner } = this;
    if (owner && data !== undefined) {
      void this.quietly(() => this.store.keep({ hash: hashKey(key), owner, at: this.now(), data }));
    }
    return data;
  }

  private takes(owner: string) {
    this.owner = owner;
  }

  private async find<T>(key: QueryKey): Promise<T | undefined> {
    const found = await this.quietly(() => this.store.find(hashKey(key)));
    if (found && hashKey(key) === hashKey(meKey)) this.takes(found.owner);
    if (found?.owner === this.owner) return found?.data as T;
    return key[0] === "run" ? ((await this.sectionRun(key)) as T) : undefined;
  }

  /** A section's run out of its class's. */
  private async sectionRun(key: QueryKey): Promise<Run | undefined> {
    const [root, milestoneId, scope] = key as [string, string, Scope];
    if (!scope.classId || !scope.instrument) return undefined;
    const whole = await this.quietly(() =>
      this.store.find(hashKey([root, milestoneId, { classId: scope.classId }])),
    );
    return whole?.owner === this.owner ? sectionOf(whole?.data as Run, scope) : undefined;
  }

  private async quietly<T>(run: () => Promise<T>): Promise<T | undefined> {
    try {
      return await run();
    } catch {
      return undefined; // a browser that keeps nothing reads from the server alone
    }
  }
}
