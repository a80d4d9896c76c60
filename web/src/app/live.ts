import { at } from "../api/at";
import { post } from "../api/http";
import type { Outcome } from "../api/types";

/** What somebody marked. To who does not see everybody only that something was. */
export interface SeenMark {
  id: string;
  studentId: string;
  milestoneId: string;
  outcome: Outcome;
  corrects?: string;
  hearerId: string;
  hearerName: string;
}

/** Whom somebody else is hearing. */
export interface SeenDesk {
  accountId: string;
  hearerName: string;
  studentId?: string;
  milestoneId?: string;
}

type Stream = Pick<EventSource, "addEventListener" | "close" | "onerror">;

/** As long as the server lets somebody sit at a desk who does not say so again, and a little more. */
const SITS = 65_000;
const AGAIN = 5_000;
/** Marks that were seen, so that one that comes again after a broken connection counts once. */
const REMEMBERED = 3_000;

/** Marks of others as they come in; a broken connection is opened again and what came meanwhile is asked for. */
export class Live {
  private stream?: Stream;
  private place?: string;
  private readonly seen = new Set<string>();
  private readonly hearers = new Set<(mark: SeenMark | undefined) => void>();
  private readonly listeners = new Set<() => void>();
  private sitting: ReadonlyMap<string, SeenDesk & { until: number }> = new Map();
  private retry?: ReturnType<typeof setTimeout>;

  constructor(
    private readonly connect: (path: string) => Stream,
    private readonly now: () => number = Date.now,
  ) {}

  /** Calls back with every mark of anybody, this device's among them; undefined where only the fact is told. */
  onMark(hearer: (mark: SeenMark | undefined) => void) {
    this.hearers.add(hearer);
    return () => void this.hearers.delete(hearer);
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** Others at their desks, by account. */
  desks = () => this.sitting;

  begin() {
    if (this.stream) return;
    // A stream is not in the API's document, which knows requests and answers.
    const stream = this.connect(this.place ? `/api/live?since=${this.place}` : "/api/live");
    this.stream = stream;
    stream.addEventListener("mark", (event) => this.mark(event as MessageEvent<string>));
    stream.addEventListener("desk", (event) => this.desk(event as MessageEvent<string>));
    stream.addEventListener("here", (event) => (this.place = (event as MessageEvent).lastEventId));
    // The browser tries again by itself only where the answer was a stream.
    stream.onerror = () => {
      this.end();
      this.retry = setTimeout(() => this.begin(), AGAIN);
    };
  }

  end() {
    clearTimeout(this.retry);
    this.stream?.close();
    this.stream = undefined;
  }

  private mark(event: MessageEvent<string>) {
    this.place = event.lastEventId;
    const mark = JSON.parse(event.data) as Partial<SeenMark>;
    if (!mark.id) return this.hearers.forEach((hearer) => hearer(undefined));
    if (this.seen.has(mark.id)) return;
    this.seen.add(mark.id);
    if (this.seen.size > REMEMBERED) this.seen.delete(this.seen.values().next().value!);
    this.hearers.forEach((hearer) => hearer(mark as SeenMark));
  }

  private desk(event: MessageEvent<string>) {
    const desk = JSON.parse(event.data) as SeenDesk;
    const next = new Map([...this.sitting].filter(([, other]) => other.until > this.now()));
    next.delete(desk.accountId);
    if (desk.studentId) next.set(desk.accountId, { ...desk, until: this.now() + SITS });
    this.sitting = next;
    this.listeners.forEach((listener) => listener());
  }
}

export const live = new Live((path) => new EventSource(path));

/** Tells the others whom one is hearing; what is not heard of is no loss. */
export const sitAtDesk = (studentId?: string, milestoneId?: string) =>
  void post(at("/api/live/desk"), { studentId, milestoneId }).catch(() => undefined);
