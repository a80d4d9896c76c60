import type { Address } from "./at";
import { reach } from "./reach";

/** An answer of the server that says what is wrong, in a sentence, and for input which field. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    sentence: string,
    readonly field?: string,
  ) {
    super(sentence);
  }
}

/** The server could not be reached; what was to be sent is still here. */
export class Unreachable extends Error {
  constructor() {
    super("The server cannot be reached at the moment.");
  }
}

/** A proxy, or the server itself without its database, says that it is away. */
const awayStatus: readonly number[] = [502, 503, 504];

/** Whether it failed since the server or its database is away, so that the same may go well later. */
export const isAway = (error: unknown): boolean =>
  error instanceof Unreachable || (error instanceof Problem && awayStatus.includes(error.status));

const token = () => /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "";

/** What is said beside a body, by header name. */
export type Said = Readonly<Record<string, string>>;

interface Sent {
  body?: BodyInit;
  type?: string;
  said?: Said;
}

async function request(method: string, path: string, { body, type, said }: Sent = {}): Promise<Response> {
  const headers: Record<string, string> = { Accept: "application/json", ...said };
  if (type) headers["Content-Type"] = type;
  if (method !== "GET") headers["X-XSRF-TOKEN"] = decodeURIComponent(token());
  let response: Response;
  try {
    response = await fetch(path, { method, headers, body, credentials: "same-origin" });
  } catch {
    reach.found(false);
    throw new Unreachable();
  }
  reach.found(!awayStatus.includes(response.status));
  if (response.ok) return response;
  const problem = (await response.json().catch(() => ({}))) as { detail?: string; field?: string };
  throw new Problem(
    response.status,
    problem.detail ?? `The server answered ${response.status}; nothing was changed.`,
    problem.field,
  );
}

export async function get<T>(path: Address): Promise<T> {
  return (await request("GET", path)).json() as Promise<T>;
}

/** A page left open over a sign-in has an old token: the refusal brings a new one, so it is sent once more. */
async function change(method: string, path: string, sent?: Sent): Promise<Response> {
  const send = () => request(method, path, sent);
  return send().catch((error: unknown) => {
    if (error instanceof Problem && error.status === 403) return send();
    throw error;
  });
}

/** Posts JSON; undefined when the answer has no body. */
export async function post<T>(path: Address, value: unknown, said?: Said): Promise<T> {
  const response = await change("POST", path, {
    body: JSON.stringify(value),
    type: "application/json",
    said,
  });
  const text = await response.text();
  return (text ? JSON.parse(text) : undefined) as T;
}

/** Puts JSON in the place of what was there; undefined when the answer has no body. */
export async function put<T>(path: Address, value: unknown): Promise<T> {
  const response = await change("PUT", path, { body: JSON.stringify(value), type: "application/json" });
  const text = await response.text();
  return (text ? JSON.parse(text) : undefined) as T;
}

export async function postForm<T>(path: Address, form: FormData): Promise<T> {
  return (await change("POST", path, { body: form })).json() as Promise<T>;
}

export async function remove(path: Address, said?: Said): Promise<void> {
  await change("DELETE", path, { said });
}
