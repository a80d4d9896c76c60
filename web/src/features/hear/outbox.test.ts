// @vitest-environment jsdom
import { IDBFactory } from "fake-indexeddb";
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { Problem, Unreachable } from "../../api/http";
import type { AttemptRequest, Recorded } from "../../api/types";
import type { Entry, Owner } from "./entry";
import { DeviceStore, type MarkStore } from "./markStore";
import { Outbox } from "./outbox";
import type { Send } from "./sending";

const odalys: Owner = { programId: "p", accountId: "odalys", name: "Odalys Quayle" };
const ines: Owner = { programId: "p", accountId: "ines", name: "Ines Farrow" };

const attempt = (id: string) => ({ id, studentId: id, outcome: "PASS" }) as AttemptRequest;
const entry = (id: string): Entry => ({ id, kind: "attempts", label: id, attempts: [attempt(id)] });
const note = (id: string): Entry => ({
  id,
  kind: "note",
  label: id,
  path: "/api/pain-reports" as never,
  body: {},
});

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

const nothing: Recorded[] = [];

/** What tabs of one browser share: the store, the lock, and the news. */
function browser(store: MarkStore = new DeviceStore()) {
  let turn: Promise<unknown> = Promise.resolve();
  const hearers: ((news: never) => void)[] = [];
  return {
    store,
    alone: (_: string, run: () => Promise<void>) => {
      const mine = turn.then(run, run);
      turn = mine;
      return mine;
    },
    tabs: () => {
      let own: ((news: never) => void) | undefined;
      return {
        tell: (news: unknown) => hearers.filter((h) => h !== own).forEach((h) => h(news as never)),
        hear: (hearer: (news: never) => void) => void hearers.push((own = hearer)),
      };
    },
  };
}

/** A tab, and the pauses it asked for. */
function tab(around: ReturnType<typeof browser>, send: Send, now = () => new Date("2026-10-06T14:00:00Z")) {
  const pauses: { run: () => void; ms: number }[] = [];
  const box = new Outbox({
    store: around.store,
    alone: around.alone,
    tabs: around.tabs(),
    send,
    later: (run, ms) => void pauses.push({ run, ms }),
    now,
  });
  return { box, pauses };
}

const waitingOf = (box: Outbox) => box.snapshot().waiting.map((one) => one.id);
const until = (check: () => void) => vi.waitFor(check, { timeout: 15_000, interval: 2 });
const sentIds = (entries: readonly Entry[]) => entries.map((one) => one.id);

describe("the outbox", () => {
  it("shows a mark at once, keeps it before it is sent, and sends in the order made", async () => {
    const device = browser();
    const sent: string[] = [];
    const kept: number[] = [];
    const { box } = tab(device, async (entries) => {
      kept.push((await device.store.all()).length);
      sent.push(...sentIds(entries));
      return nothing;
    });
    await box.open(odalys);
    ["a", "b", "c"].forEach((id) => box.add(entry(id)));
    expect(waitingOf(box)).toEqual(["a", "b", "c"]);
    await until(() => expect(waitingOf(box)).toEqual([]));
    expect(sent).toEqual(["a", "b", "c"]);
    expect(kept.every((count) => count > 0)).toBe(true);
    expect(await device.store.all()).toEqual([]);
  });

  it("gives every attempt the moment of the press, whenever it is sent", async () => {
    let away = true;
    const moments: (string | undefined)[] = [];
    let clock = new Date("2026-10-06T14:00:00Z");
    const { box } = tab(
      browser(),
      async (entries) => {
        if (away) throw new Unreachable();
        entries.forEach((one) => one.kind === "attempts" && moments.push(one.attempts[0]?.heardAt));
        return nothing;
      },
      () => clock,
    );
    await box.open(odalys);
    box.add(entry("a"));
    await until(() => expect(waitingOf(box)).toEqual(["a"]));
    clock = new Date("2026-10-06T14:10:00Z");
    box.add(entry("b"));
    away = false;
    await box.flush();
    await until(() => expect(waitingOf(box)).toEqual([]));
    expect(moments).toEqual(["2026-10-06T14:00:00.000Z", "2026-10-06T14:10:00.000Z"]);
  });

  it("keeps a mark while the server is away and waits longer after each failure, half a minute at most", async () => {
    let away = true;
    const { box, pauses } = tab(browser(), async () => {
      if (away) throw new Unreachable();
      return nothing;
    });
    await box.open(odalys);
    box.add(entry("a"));
    for (let failure = 1; failure <= 7; failure++) {
      await until(() => expect(pauses).toHaveLength(failure));
      pauses.at(-1)!.run();
    }
    await until(() => expect(pauses).toHaveLength(8));
    expect(pauses.map(({ ms }) => ms)).toEqual([1000, 2000, 4000, 8000, 16000, 30000, 30000, 30000]);
    expect(waitingOf(box)).toEqual(["a"]);
    away = false;
    pauses.at(-1)!.run();
    await until(() => expect(waitingOf(box)).toEqual([]));
  });

  it("sets a refused mark aside with the reason, goes on with the next, and sends it again when asked", async () => {
    let broken = true;
    const sent: string[] = [];
    const { box } = tab(browser(), async (entries) => {
      if (broken && sentIds(entries).includes("b")) throw new Problem(422, "Say why the student is excused.");
      sent.push(...sentIds(entries));
      return nothing;
    });
    await box.open(odalys);
    ["a", "b", "c"].forEach((id) => box.add(entry(id)));
    await until(() => expect(box.snapshot().refused).toHaveLength(1));
    await until(() => expect(sent).toEqual(["a", "c"]));
    expect(box.snapshot().refused.map((r) => [r.id, r.sentence])).toEqual([
      ["b", "Say why the student is excused."],
    ]);
    broken = false;
    await box.again("b");
    expect(sent).toEqual(["a", "c", "b"]);
    expect(box.snapshot()).toMatchObject({ waiting: [], refused: [] });
  });

  it("lets a refused mark go, also from the store", async () => {
    const device = browser();
    const { box } = tab(device, async () => {
      throw new Problem(409, "Another attempt has this id already.");
    });
    await box.open(odalys);
    box.add(entry("a"));
    await until(() => expect(box.snapshot().refused).toHaveLength(1));
    box.drop("a");
    expect(box.snapshot().refused).toEqual([]);
    await until(async () => expect(await device.store.all()).toEqual([]));
  });

  it.each([401, 408, 429, 502, 503, 504])(
    "waits with everything and blames no mark for a %i",
    async (status) => {
      const { box, pauses } = tab(browser(), async () => {
        throw new Problem(status, "later");
      });
      await box.open(odalys);
      ["a", "b"].forEach((id) => box.add(entry(id)));
      await until(() => expect(pauses.length).toBeGreaterThan(0));
      expect(waitingOf(box)).toEqual(["a", "b"]);
      expect(box.snapshot().refused).toEqual([]);
      expect(box.snapshot().stopped).toBe(status === 401 ? "later" : undefined);
    },
  );

  it("finds what waits again after the tab was closed, and the order with it", async () => {
    const device = browser();
    const closed = tab(device, async () => {
      throw new Unreachable();
    });
    await closed.box.open(odalys);
    ["a", "b", "c"].forEach((id) => closed.box.add(entry(id)));
    await until(async () => expect(await device.store.all()).toHaveLength(3));
    const sent: string[] = [];
    const opened = tab(browser(new DeviceStore()), async (entries) => {
      sent.push(...sentIds(entries));
      return nothing;
    });
    await opened.box.open(odalys);
    expect(sent).toEqual(["a", "b", "c"]);
  });

  it("lets one tab send at a time, and tells the other what was recorded", async () => {
    const device = browser();
    let sending = 0;
    const sent: string[] = [];
    const send: Send = async (entries) => {
      expect(++sending).toBe(1);
      await new Promise((done) => setTimeout(done, 2));
      sent.push(...sentIds(entries));
      sending--;
      return [{ id: entries[0]!.id } as Recorded];
    };
    const one = tab(device, send).box;
    const two = tab(device, send).box;
    const heard: string[] = [];
    two.onRecorded((recorded) => heard.push(...recorded.map((r) => r.id)));
    await Promise.all([one.open(odalys), two.open(odalys)]);
    for (let i = 0; i < 20; i++) (i % 2 ? one : two).add(note(`n${i}`));
    await until(() => expect(sent).toHaveLength(20));
    expect(sent).toEqual(Array.from({ length: 20 }, (_, i) => `n${i}`));
    await until(() => expect([waitingOf(one), waitingOf(two)]).toEqual([[], []]));
    expect(heard.toSorted()).toEqual(sent.toSorted());
  });

  it("keeps marks for whoever made them and sends them under no other name", async () => {
    const device = browser();
    const sent: string[] = [];
    let away = true;
    const send: Send = async (entries, owner) => {
      if (away) throw new Unreachable();
      sent.push(...entries.map((one) => `${owner.accountId} ${one.id}`));
      return nothing;
    };
    const { box } = tab(device, send);
    await box.open(odalys);
    ["a", "b"].forEach((id) => box.add(entry(id)));
    await until(async () => expect(await device.store.all()).toHaveLength(2));
    box.close();
    expect(waitingOf(box)).toEqual([]);
    away = false;
    await box.open(ines);
    box.add(entry("c"));
    await until(() => expect(sent).toEqual(["ines c"]));
    expect(box.snapshot().others).toEqual([{ name: "Odalys Quayle", count: 2 }]);
    await box.open(odalys);
    await until(() => expect(sent).toEqual(["ines c", "odalys a", "odalys b"]));
    expect(box.snapshot().others).toEqual([]);
  });

  it("says so where the device keeps nothing, and sends at once", async () => {
    const full: MarkStore = {
      put: () => Promise.reject(new DOMException("full", "QuotaExceededError")),
      all: () => Promise.resolve([]),
      change: () => Promise.resolve(),
      remove: () => Promise.resolve(),
    };
    const sent: string[] = [];
    const { box } = tab(browser(full), async (entries) => {
      sent.push(...sentIds(entries));
      return nothing;
    });
    await box.open(odalys);
    ["a", "b"].forEach((id) => box.add(entry(id)));
    await until(() => expect(sent).toEqual(["a", "b"]));
    expect(box.snapshot()).toMatchObject({ waiting: [], keepsNothing: true });
  });

  it("keeps the order where the store fails in between", async () => {
    const device = browser();
    const real = device.store;
    let fails = false;
    let away = true;
    const sent: string[] = [];
    const store: MarkStore = {
      put: (kept) => (fails ? Promise.reject(new Error("full")) : real.put(kept)),
      all: () => real.all(),
      change: (kept) => real.change(kept),
      remove: (seqs) => real.remove(seqs),
    };
    const { box } = tab(browser(store), async (entries) => {
      if (away) throw new Unreachable();
      sent.push(...sentIds(entries));
      return nothing;
    });
    await box.open(odalys);
    for (const [id, full] of [
      ["a", false],
      ["b", true],
      ["c", false],
    ] as const) {
      fails = full;
      box.add(note(id));
      await until(() => expect(box.snapshot().keepsNothing).toBe(full));
      await new Promise((done) => setTimeout(done, 10));
    }
    away = false;
    await box.flush();
    await until(() => expect(sent).toEqual(["a", "b", "c"]));
  });

  it("sends what an earlier version of the app kept", async () => {
    localStorage.setItem(
      "vivid-outbox",
      JSON.stringify({ waiting: [entry("a")], refused: [{ ...entry("r"), sentence: "No." }] }),
    );
    const device = browser();
    const sent: string[] = [];
    const box = new Outbox({
      store: device.store,
      alone: device.alone,
      tabs: device.tabs(),
      send: async (entries) => {
        sent.push(...sentIds(entries));
        return nothing;
      },
      later: () => undefined,
      now: () => new Date(),
      earlier: localStorage,
    });
    await box.open(odalys);
    expect(sent).toEqual(["a"]);
    expect(box.snapshot().refused.map((r) => r.sentence)).toEqual(["No."]);
    expect(localStorage.getItem("vivid-outbox")).toBeNull();
  });

  it("sends five hundred marks in a few requests, each once and in order", async () => {
    let away = true;
    const sent: string[] = [];
    let requests = 0;
    const { box } = tab(browser(), async (entries) => {
      if (away) throw new Unreachable();
      requests++;
      sent.push(...sentIds(entries));
      return nothing;
    });
    await box.open(odalys);
    const ids = Array.from({ length: 500 }, (_, i) => `m${i}`);
    ids.forEach((id) => box.add(entry(id)));
    expect(waitingOf(box)).toHaveLength(500);
    await until(() => expect(box.snapshot().waiting).toHaveLength(500));
    away = false;
    await box.flush();
    await vi.waitFor(() => expect(sent).toEqual(ids), { timeout: 5000 });
    expect(requests).toBeLessThan(30);
  });

  it("starts where the store cannot even be read", async () => {
    const broken: MarkStore = {
      put: () => Promise.reject(new Error("no")),
      all: () => Promise.reject(new Error("no")),
      change: () => Promise.reject(new Error("no")),
      remove: () => Promise.reject(new Error("no")),
    };
    const sent: string[] = [];
    const { box } = tab(browser(broken), async (entries) => {
      sent.push(...sentIds(entries));
      return nothing;
    });
    await box.open(odalys);
    box.add(entry("a"));
    await until(() => expect(sent).toEqual(["a"]));
  });
});
