import "fake-indexeddb/auto";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactElement } from "react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import { outbox } from "../features/hear/outbox";
import { Toasts } from "../ui/toasts";

export interface Sent {
  method: string;
  path: string;
  body: unknown;
  form?: FormData;
}

type Answer = unknown | ((sent: Sent) => unknown);

/** A refusal as the server words it. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly detail: string,
    readonly field?: string,
  ) {}
}

/** Who is signed in where a test does not say. */
const director = {
  programId: "tern",
  accountId: "odalys",
  displayName: "Odalys Quayle",
  role: "DIRECTOR",
  program: "Tern",
  today: "2026-10-07",
  demo: false,
};

/**
 * Stands in for the server: answers by method and the beginning of the path, and keeps what was sent. What no answer
 * is given for is not found.
 */
export function server(answers: Record<string, Answer>): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    const method = init.method ?? "GET";
    const one: Sent = {
      method,
      path,
      body: typeof init.body === "string" ? JSON.parse(init.body) : undefined,
      form: init.body instanceof FormData ? init.body : undefined,
    };
    sent.push(one);
    const known: Record<string, Answer> = { "GET /api/session": director, ...answers };
    const key = Object.keys(known)
      .filter((k) => `${method} ${path}`.startsWith(k))
      .toSorted((a, b) => b.length - a.length)[0];
    const answer = key === undefined ? new Refusal(404, "Not here.") : known[key];
    const value = typeof answer === "function" ? (answer as (s: Sent) => unknown)(one) : answer;
    return value instanceof Refusal
      ? new Response(JSON.stringify({ detail: value.detail, field: value.field }), { status: value.status })
      : new Response(value === undefined ? null : JSON.stringify(value), { status: 200 });
  });
  return sent;
}

/** Draws a screen at an address, with what every screen stands in. */
export function draw(screen: ReactElement, address = "/?class=c1") {
  window.history.replaceState(null, "", address);
  void outbox.open({
    programId: director.programId,
    accountId: director.accountId,
    name: director.displayName,
  });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(
    <QueryClientProvider client={client}>
      <Toasts>
        <MemoryRouter initialEntries={[address]}>{screen}</MemoryRouter>
      </Toasts>
    </QueryClientProvider>,
  );
}
