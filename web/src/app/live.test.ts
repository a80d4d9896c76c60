import { afterEach, expect, it, vi } from "vitest";
import { Live, type SeenDesk, type SeenMark } from "./live";

class FakeStream {
  readonly listeners = new Map<string, (event: MessageEvent<string>) => void>();
  onerror: ((event: Event) => void) | null = null;
  closed = false;
  constructor(readonly path: string) {}
  addEventListener(name: string, listener: (event: never) => void) {
    this.listeners.set(name, listener as never);
  }
  close() {
    this.closed = true;
  }
  say(name: string, data: object, lastEventId = "") {
    this.listeners.get(name)?.({ data: JSON.stringify(data), lastEventId } as MessageEvent<string>);
  }
}

const mark = (id: string, rest: Partial<SeenMark> = {}) => ({
  id,
  studentId: "ana",
  milestoneId: "m",
  outcome: "PASS",
  hearerId: "bram",
  hearerName: "Bram",
  ...rest,
});
const desk = (accountId: string, studentId?: string): SeenDesk => ({
  accountId,
  hearerName: accountId,
  ...(studentId ? { studentId, milestoneId: "m" } : {}),
});

function looking() {
  const streams: FakeStream[] = [];
  let clock = 0;
  const live = new Live(
    (path) => {
      const stream = new FakeStream(path);
      streams.push(stream);
      return stream as never;
    },
    () => clock,
  );
  live.begin();
  return { live, streams, pass: (ms: number) => (clock += ms) };
}

afterEach(() => {
  vi.useRealTimers();
});

it("passes each mark on once, also where it comes again", () => {
  const { live, streams } = looking();
  const seen: (string | undefined)[] = [];
  const leave = live.onMark((one) => seen.push(one?.id));
  streams[0]!.say("mark", mark("a"), "7");
  streams[0]!.say("mark", mark("a"), "7");
  streams[0]!.say("mark", mark("b"), "8");
  streams[0]!.say("mark", {}, "9");
  expect(seen).toEqual(["a", "b", undefined]);
  leave();
  streams[0]!.say("mark", mark("c"), "10");
  expect(seen).toHaveLength(3);
});

it("opens a broken connection again and asks for what came meanwhile", () => {
  vi.useFakeTimers();
  const { live, streams } = looking();
  expect(streams[0]!.path).toBe("/api/live");
  streams[0]!.say("here", {}, "41");
  streams[0]!.say("mark", mark("a"), "42");
  streams[0]!.onerror?.(new Event("error"));
  expect(streams[0]!.closed).toBe(true);
  vi.advanceTimersByTime(5_000);
  expect(streams[1]!.path).toBe("/api/live?since=42");
  live.end();
  streams[1]!.onerror?.(new Event("error"));
  live.end();
  vi.advanceTimersByTime(60_000);
  expect(streams).toHaveLength(2);
});

it("knows who sits at a desk until they leave it, or are not heard of any more", () => {
  const { live, streams, pass } = looking();
  const told = vi.fn();
  live.subscribe(told);
  streams[0]!.say("desk", desk("bram", "ana"));
  streams[0]!.say("desk", desk("ines", "bo"));
  expect([...live.desks().values()].map((d) => d.studentId)).toEqual(["ana", "bo"]);
  streams[0]!.say("desk", desk("bram"));
  expect([...live.desks().keys()]).toEqual(["ines"]);
  pass(70_000);
  streams[0]!.say("desk", desk("bram", "cy"));
  expect([...live.desks().keys()]).toEqual(["bram"]);
  expect(told).toHaveBeenCalledTimes(4);
});
