import { QueryClient } from "@tanstack/react-query";
import { IDBFactory } from "fake-indexeddb";
import "fake-indexeddb/auto";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { reach } from "../../api/reach";
import { KeptReads } from "./keptReads";
import { prepareDay } from "./prepareDay";
import { DeviceReads } from "./readStore";

vi.mock("../loadNotation", () => ({ loadNotation: () => Promise.resolve([]) }));

const me = { programId: "p", accountId: "a", displayName: "Odalys", today: "2027-02-12" };
const player = (studentId: string, instrument: string) => ({
  studentId,
  instrument,
  classId: "winds",
  division: "",
});
const answers: Record<string, unknown> = {
  "/api/session": me,
  "/api/podium": { classes: [{ classId: "winds" }] },
  "/api/rail": { sections: [] },
  "/api/hearing/choices": [
    { milestoneId: "nine", open: 3 },
    { milestoneId: "done", open: 0 },
    { milestoneId: "hold", open: 1 },
  ],
  "/api/hearing/run/nine": {
    milestone: { id: "nine", kind: "LINE", line: { lineId: "l9" } },
    queue: ["ana", "bo", "cy"],
    players: [player("ana", "flute"), player("bo", "flute"), player("cy", "tuba"), player("di", "horn")],
  },
  "/api/hearing/run/hold": {
    milestone: { id: "hold", kind: "TECHNIQUE_CHECK" },
    queue: ["ana"],
    players: [],
  },
  "/api/checks/hold": {},
  "/api/lines/l9/notes": { musicXml: "" },
};

let asked: string[];
let away = false;
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  asked = [];
  away = false;
  vi.stubGlobal("document", { cookie: "" });
  vi.stubGlobal("fetch", (path: string) => {
    asked.push(path);
    if (away) return Promise.reject(new TypeError("no network"));
    const answer = answers[path.split("?")[0]!];
    return Promise.resolve(new Response(JSON.stringify(answer), { status: answer ? 200 : 404 }));
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  reach.found(true);
});

function device() {
  const kept = new KeptReads(new DeviceReads());
  const client = new QueryClient({
    defaultOptions: {
      queries: {
        persister: (queryFn, context, query) =>
          kept.read(
            query.queryKey,
            () => queryFn(context),
            query.state.data,
            () => undefined,
          ),
      },
    },
  });
  return { kept, client };
}

it("reads what today's classes are heard with: what is open, and each instrument's notation once", async () => {
  const { client, kept } = device();
  await prepareDay(client, kept);
  const paths = asked.map((path) => path.split("?")[0]);
  expect(paths).toContain("/api/hearing/run/nine");
  expect(paths).toContain("/api/checks/hold");
  expect(paths).not.toContain("/api/hearing/run/done");
  expect(asked.filter((path) => path.startsWith("/api/lines/l9/notes"))).toHaveLength(2);
  const before = asked.length;
  await vi.waitFor(async () => {
    await prepareDay(client, kept);
    expect(asked.length).toBe(before);
  });
});

it("stops when the server goes away", async () => {
  const { client, kept } = device();
  await client.fetchQuery({ queryKey: ["me"], queryFn: () => me });
  away = true;
  await prepareDay(client, kept);
  expect(asked.length).toBeLessThanOrEqual(2);
});
