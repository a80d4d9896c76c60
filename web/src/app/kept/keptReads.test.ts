import { IDBFactory } from "fake-indexeddb";
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { Problem, Unreachable } from "../../api/http";
import type { Me, Run } from "../../api/types";
import { isKept, KeptReads } from "./keptReads";
import { DeviceReads, type ReadStore } from "./readStore";

const odalys = { programId: "p", accountId: "odalys", displayName: "Odalys" } as Me;
const ines = { ...odalys, accountId: "ines", displayName: "Ines" } as Me;
const choices = ["progress", "choices", { classId: "c" }];
const away = () => Promise.reject<never>(new Unreachable());
const nothing = () => undefined;

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

async function signedIn(me: Me = odalys, store: ReadStore = new DeviceReads(), now = Date.now) {
  const reads = new KeptReads(store, now, 20);
  await reads.read(["me"], () => me, undefined, nothing);
  return reads;
}

const read = <T>(reads: KeptReads, key: readonly unknown[], fetch: () => T | Promise<T>, known?: T) =>
  reads.read<T>(key, fetch, known, nothing);

/** What is kept is written beside the answer. */
const written = (reads: KeptReads, key: readonly unknown[]) =>
  vi.waitFor(async () => expect(await reads.known(key, 60_000)).toBeDefined());

describe("what was read", () => {
  it("is answered again while the server is away, also after the app was closed", async () => {
    const reads = await signedIn();
    expect(await read(reads, choices, () => ["line 9"])).toEqual(["line 9"]);
    await written(reads, choices);
    expect(await read(reads, choices, away)).toEqual(["line 9"]);
    const opened = new KeptReads(new DeviceReads());
    expect(await read<unknown>(opened, ["me"], away)).toEqual(odalys);
    expect(await read(opened, choices, away)).toEqual(["line 9"]);
    await expect(read(opened, ["progress", "rail", "d"], away)).rejects.toBeInstanceOf(Unreachable);
  });

  it("stays on the screen when it cannot be read again", async () => {
    const reads = await signedIn();
    expect(await read(reads, ["year"], away, "this year")).toBe("this year");
    const proxy = () => Promise.reject<string>(new Problem(503, "The database is away."));
    expect(await read(reads, ["year"], proxy, "this year")).toBe("this year");
  });

  it("never hides what the server refuses", async () => {
    const reads = await signedIn();
    await read(reads, choices, () => ["line 9"]);
    await written(reads, choices);
    const refused = () => Promise.reject<string[]>(new Problem(403, "Not yours."));
    await expect(read(reads, choices, refused)).rejects.toThrow("Not yours.");
  });

  it("is of nobody but who read it", async () => {
    const reads = await signedIn();
    await read(reads, choices, () => ["hers"]);
    await written(reads, choices);
    const other = await signedIn(ines);
    await expect(read(other, choices, away)).rejects.toBeInstanceOf(Unreachable);
    expect(await other.known(choices, 60_000)).toBeUndefined();
  });

  it("is gone when somebody signs out, and not opened again once the session has ended", async () => {
    const reads = await signedIn();
    await written(reads, ["me"]);
    await expect(
      read(reads, ["me"], () => Promise.reject(new Problem(401, "Sign in first."))),
    ).rejects.toThrow("Sign in first.");
    await expect(read(new KeptReads(new DeviceReads()), ["me"], away)).rejects.toBeInstanceOf(Unreachable);
    await read(reads, choices, () => ["line 9"]);
    await written(reads, choices);
    await reads.clear();
    await expect(read(reads, choices, away)).rejects.toBeInstanceOf(Unreachable);
  });

  it("stands in for a slow answer, which takes its place when it comes", async () => {
    const reads = await signedIn();
    await read(reads, choices, () => ["kept"]);
    await written(reads, choices);
    const late: string[][] = [];
    const slow = () => new Promise<string[]>((done) => setTimeout(() => done(["fresh"]), 60));
    expect(await reads.read(choices, slow, undefined, (data) => void late.push(data))).toEqual(["kept"]);
    await vi.waitFor(() => expect(late).toEqual([["fresh"]]));
    const first = ["progress", "choices", { classId: "new" }];
    expect(await reads.read(first, slow, undefined, nothing)).toEqual(["fresh"]);
  });

  it("gives a section's run out of its class's", async () => {
    const player = (studentId: string, instrument: string, division = "") => ({
      studentId,
      instrument,
      division,
    });
    const run = {
      queue: ["cy", "ana", "bo"],
      players: [player("ana", "flute"), player("bo", "tuba"), player("cy", "flute", "Low")],
    } as unknown as Run;
    const reads = await signedIn();
    await read(reads, ["run", "m", { classId: "c" }], () => run);
    await written(reads, ["run", "m", { classId: "c" }]);
    const of = (scope: object) => read<Run>(reads, ["run", "m", { classId: "c", ...scope }], away);
    expect((await of({ instrument: "flute" })).queue).toEqual(["cy", "ana"]);
    expect((await of({ instrument: "flute", division: "Low" })).players).toHaveLength(1);
    await expect(of({ family: "BRASS" })).rejects.toBeInstanceOf(Unreachable);
  });

  it("does not grow without end, and nothing stays for long", async () => {
    let now = 1_000_000_000_000;
    const reads = await signedIn(odalys, new DeviceReads(), () => now);
    await read(reads, choices, () => ["old"]);
    await vi.waitFor(async () => expect(await reads.known(choices, 1)).toBeDefined());
    now += 15 * 86_400_000;
    await reads.prune();
    await expect(read(reads, choices, away)).rejects.toBeInstanceOf(Unreachable);
    const store = new DeviceReads();
    for (let i = 0; i < 12; i++) await store.keep({ hash: `h${i}`, owner: "o", at: now + i, data: i });
    await store.prune(0, 10);
    expect([await store.find("h1"), (await store.find("h2"))?.data]).toEqual([undefined, 2]);
  });

  it("is read from the server alone where the browser keeps nothing", async () => {
    const no = () => Promise.reject(new Error("no"));
    const reads = await signedIn(odalys, { keep: no, find: no, forget: no, clear: no, prune: no });
    expect(await read(reads, choices, () => ["line 9"])).toEqual(["line 9"]);
    await expect(read(reads, choices, away)).rejects.toBeInstanceOf(Unreachable);
    await reads.clear();
    await reads.prune();
  });
});

it("keeps what hearing needs and nothing of the office, of pain or of a folder", () => {
  expect(
    [["me"], ["run", "m", {}], ["progress", "podium", "d"], ["library", "line", "l"]].map(isKept),
  ).toEqual([true, true, true, true]);
  expect(
    [["people"], ["audit"], ["progress", "pain", "s"], ["progress", "folder", "s"], ["library"]].map(isKept),
  ).toEqual([false, false, false, false, false]);
});
