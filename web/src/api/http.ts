import type { Address } from "./at";

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

const token = () => /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "";

async function request(method: string, path: string, body?: BodyInit, type?: string): Promise<Response> {
  const headers: Record<string, string> = { Accept: "application/json" };
  if (type) headers["Content-Type"] = type;
  if (method !== "GET") headers["X-XSRF-TOKEN"] = decodeURIComponent(token());
  let response: Response;
  try {
    response = await fetch(path, { method, headers, body, credentials: "same-origin" });
  } catch {
    throw new Unreachable();
  }
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
async function change(method: string, path: string, body?: BodyInit, type?: string): Promise<Response> {
  const send = () => request(method, path, body, type);
  return send().catch((error: unknown) => {
    if (error instanceof Problem && error.status === 403) return send();
    throw error;
  });
}

/** Posts JSON; undefined when the answer has no body. */
export async function post<T>(path: Address, value: unknown): Promise<T> {
  const response = await change("POST", path, JSON.stringify(value), "application/json");
  const text = await response.text();
  return (text ? JSON.parse(text) : undefined) as T;
}

/** Puts JSON in the place of what was there; undefined when the answer has no body. */
export async function put<T>(path: Address, value: unknown): Promise<T> {
  const response = await change("PUT", path, JSON.stringify(value), "application/json");
  const text = await response.text();
  return (text ? JSON.parse(text) : undefined) as T;
}

export async function postForm<T>(path: Address, form: FormData): Promise<T> {
  return (await change("POST", path, form)).json() as Promise<T>;
}

export async function remove(path: Address): Promise<void> {
  await change("DELETE", path);
}
