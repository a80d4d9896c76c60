import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { outbox } from "../features/hear/outbox";
import { live } from "./live";

/** Screens are read anew so soon after a mark of somebody else, and no more often. */
const EVERY = 2_000;

/** Looks on while somebody is signed in: what others mark is on the screen within moments. */
export function useLive() {
  const client = useQueryClient();
  useEffect(() => {
    if (typeof EventSource === "undefined") return;
    const own = new Set<string>();
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const read = () => {
      waiting = undefined;
      void client.invalidateQueries({ queryKey: ["progress"] });
    };
    const leaveOutbox = outbox.onRecorded((recorded) => recorded.forEach(({ id }) => own.add(id)));
    const leaveLive = live.onMark((mark) => {
      if (mark && own.delete(mark.id)) return;
      waiting ??= setTimeout(read, EVERY);
    });
    live.begin();
    return () => {
      live.end();
      leaveLive();
      leaveOutbox();
      clearTimeout(waiting);
    };
  }, [client]);
}
