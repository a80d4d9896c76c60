import { useEffect, useRef } from "react";
import type { Run } from "../../api/types";
import { milestoneName } from "./milestoneName";

/** What a projector shows to everybody: nobody's marks, nobody's tries. */
export interface OnScreen {
  name?: string;
  next?: string;
  line: string;
}

type News = { kind: "shows"; what: OnScreen } | { kind: "asks" };

const channel = () =>
  typeof BroadcastChannel === "undefined" ? undefined : new BroadcastChannel("vivid-second-screen");

export const openSecondScreen = () =>
  void window.open("/screen", "vivid-second-screen", "popup,width=960,height=600");

export function onScreen(run: Run, queue: readonly string[]): OnScreen {
  const nameOf = (id: string | undefined) => run.players.find((player) => player.studentId === id)?.name;
  return { name: nameOf(queue[0]), next: nameOf(queue[1]), line: milestoneName(run.milestone) };
}

/** Keeps second screens of this browser on the student at the desk, and empties them when the run is left. */
export function useSecondScreen(run: Run, queue: readonly string[]) {
  const latest = useRef<OnScreen>({ line: "" });
  const open = useRef<BroadcastChannel>(undefined);
  useEffect(() => {
    const all = channel();
    open.current = all;
    const answer = (event: MessageEvent<News>) => {
      if (event.data.kind === "asks")
        all?.postMessage({ kind: "shows", what: latest.current } satisfies News);
    };
    all?.addEventListener("message", answer);
    return () => {
      all?.postMessage({ kind: "shows", what: { line: "" } } satisfies News);
      all?.close();
    };
  }, []);
  useEffect(() => {
    latest.current = onScreen(run, queue);
    open.current?.postMessage({ kind: "shows", what: latest.current } satisfies News);
  }, [run, queue]);
}

/** Calls back with what the run in another window of this browser shows. */
export function watchRun(shows: (what: OnScreen) => void): () => void {
  const all = channel();
  const hear = (event: MessageEvent<News>) => {
    if (event.data.kind === "shows") shows(event.data.what);
  };
  all?.addEventListener("message", hear);
  all?.postMessage({ kind: "asks" } satisfies News);
  return () => all?.close();
}
