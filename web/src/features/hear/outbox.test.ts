// @vitest-environment jsdom
import { describe, expect, it, vi } from "vitest";
import { Problem, Unreachable } from "../../api/http";
import { Outbox, type Entry } from "./outbox";

const entry = (id: string): Entry => ({ id, kind: "attempts", label: id, attempts: [] });

function memory(kept: string | null = null) {
  let value = kept;
  return {
    getItem: () => value,
    setItem: (_: string, next: string) => void (value = next),
    read: () => value,
  };
}

const settled = () => new Promise((done) => setTimeout(done));

describe("the outbox", () => {
  it("sends marks one after another in the order they were made", async () => {
    const sent: string[] = [];
    const box = new Outbox(memory(), async (e) => {
      sent.push(e.id);
      return [];
    });
    ["a", "b", "c"].forEach((id) => box.add(entry(id)));
    await settled();
    expect(sent).toEqual(["a", "b", "c"]);
    expect(box.snapshot().waiting).toEqual([]);
  });

  it("keeps a mark while the server is away and sends it when it is back", async () => {
    let away = true;
    const tries: number[] = [];
    let again: (() => void) | undefined;
    const box = new Outbox(
      memory(),
      async () => {
        tries.push(1);
        if (away) throw new Unreachable();
        return [];
      },
      (run) => (again = run),
    );
    box.add(entry("a"));
    await settled();
    expect(box.snapshot().waiting).toHaveLength(1);
    away = false;
    again?.();
    await settled();
    expect(box.snapshot().waiting).toEqual([]);
    expect(tries).toHaveLength(2);
  });

  it("waits longer after each failure, half a minute at most", async () => {
    const pauses: number[] = [];
    const box = new Outbox(
      memory(),
      async () => {
        throw new Unreachable();
      },
      (run, ms) => {
        pauses.push(ms);
        if (pauses.length < 8) run();
      },
    );
    box.add(entry("a"));
    for (let i = 0; i < 10; i++) {
      await settled();
      await box.flush();
    }
    expect(pauses[0]).toBe(1000);
    expect(pauses[1]).toBe(2000);
    expect(Math.max(...pauses)).toBe(30_000);
  });

  it("sets a refused mark aside with the reason and goes on with the next", async () => {
    const box = new Outbox(memory(), async (e) => {
      if (e.id === "a") throw new Problem(422, "Say why the student is excused.", "reason");
      return [];
    });
    box.add(entry("a"));
    box.add(entry("b"));
    await settled();
    expect(box.snapshot().waiting).toEqual([]);
    expect(box.snapshot().refused.map((r) => r.sentence)).toEqual(["Say why the student is excused."]);
    box.drop("a");
    expect(box.snapshot().refused).toEqual([]);
  });

  it.each([401, 403, 429, 503])("does not blame the mark for a %i", async (status) => {
    const box = new Outbox(
      memory(),
      async () => {
        throw new Problem(status, "later");
      },
      () => undefined,
    );
    box.add(entry("a"));
    await settled();
    expect(box.snapshot().waiting).toHaveLength(1);
    expect(box.snapshot().refused).toEqual([]);
  });

  it("finds waiting marks again after a reload, and starts empty from a damaged store", () => {
    const store = memory();
    const never = () => new Promise<never>(() => undefined);
    new Outbox(store, never).add(entry("a"));
    expect(new Outbox(memory(store.read()), never).snapshot().waiting.map((e) => e.id)).toEqual(["a"]);
    expect(new Outbox(memory("{not json"), never).snapshot()).toEqual({ waiting: [], refused: [] });
  });

  it("tells listeners and hearers, until they leave", async () => {
    const box = new Outbox(memory(), async () => []);
    const listener = vi.fn();
    const hearer = vi.fn();
    const leave = box.subscribe(listener);
    box.onRecorded(hearer);
    box.add(entry("a"));
    await settled();
    expect(hearer).toHaveBeenCalledOnce();
    const told = listener.mock.calls.length;
    leave();
    box.add(entry("b"));
    await settled();
    expect(listener.mock.calls.length).toBe(told);
  });

  it("sets an entry aside that the server cannot take, so that those behind it go on, and sends it again when asked", async () => {
    let broken = true;
    const sent: string[] = [];
    const box = new Outbox(memory(), async (e) => {
      if (e.id === "a" && broken) throw new Problem(500, "Something went wrong in the server.");
      sent.push(e.id);
      return [];
    });
    ["a", "b"].forEach((id) => box.add(entry(id)));
    await settled();
    expect(sent).toEqual(["b"]);
    expect(box.snapshot().refused.map((e) => e.sentence)).toEqual(["Something went wrong in the server."]);
    broken = false;
    box.again("a");
    await settled();
    expect(sent).toEqual(["b", "a"]);
    expect(box.snapshot()).toEqual({ waiting: [], refused: [] });
  });

  it.each([502, 503, 504, 429])("waits with everything while the server is away, %d", async (status) => {
    const box = new Outbox(
      memory(),
      async () => {
        throw new Problem(status, "away");
      },
      () => undefined,
    );
    ["a", "b"].forEach((id) => box.add(entry(id)));
    await settled();
    expect(box.snapshot().waiting).toHaveLength(2);
  });
});
