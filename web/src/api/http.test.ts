// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from "vitest";
import { at } from "./at";
import { get, post, Problem, remove, Unreachable } from "./http";

const answer = (status: number, body?: unknown) =>
  new Response(body === undefined ? null : JSON.stringify(body), { status });

afterEach(() => vi.unstubAllGlobals());

describe("speaking to the server", () => {
  it("turns problem details into a sentence and a field", async () => {
    vi.stubGlobal("fetch", async () => answer(422, { detail: "Choose a due day.", field: "dueOn" }));
    const error = await get(at("/api/year")).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(Problem);
    expect(error).toMatchObject({ status: 422, message: "Choose a due day.", field: "dueOn" });
  });

  it("says something also when the answer says nothing", async () => {
    vi.stubGlobal("fetch", async () => new Response("<html>", { status: 502 }));
    await expect(get(at("/api/year"))).rejects.toThrow("The server answered 502; nothing was changed.");
  });

  it("knows a server that cannot be reached", async () => {
    vi.stubGlobal("fetch", async () => {
      throw new TypeError("failed");
    });
    await expect(get(at("/api/year"))).rejects.toBeInstanceOf(Unreachable);
  });

  it("sends a change once more when its token was out of date, and no more than that", async () => {
    const calls: string[] = [];
    vi.stubGlobal("fetch", async (_: string, init: RequestInit) => {
      calls.push(init.method ?? "");
      return calls.length === 1 ? answer(403, { detail: "out of date" }) : answer(204);
    });
    await post(at("/api/books"), {});
    expect(calls).toEqual(["POST", "POST"]);
    vi.stubGlobal("fetch", async () => answer(403, { detail: "Only a director can do this." }));
    await expect(remove(at("/api/session"))).rejects.toThrow("Only a director can do this.");
  });

  it("takes an answer without a body for what it is", async () => {
    vi.stubGlobal("fetch", async () => new Response("", { status: 201 }));
    await expect(post(at("/api/books"), {})).resolves.toBeUndefined();
    vi.stubGlobal("fetch", async () => answer(201, { id: 7 }));
    await expect(post(at("/api/books"), {})).resolves.toEqual({ id: 7 });
  });
});
