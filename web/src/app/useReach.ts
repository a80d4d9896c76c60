import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { at } from "../api/at";
import { get } from "../api/http";
import { reach } from "../api/reach";

const LOOK_EVERY = 10_000;

/** Whether the server is away. While it is, it is looked for; when it is back, the screen is read anew. */
export function useReach(): boolean {
  const client = useQueryClient();
  const away = useSyncExternalStore(reach.subscribe, reach.isAway);
  useEffect(() => {
    if (!away) return;
    const look = () => void get(at("/api/session")).catch(() => undefined);
    const timer = setInterval(look, LOOK_EVERY);
    window.addEventListener("online", look);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", look);
      // A run is not reshuffled under the director's hands.
      void client.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== "run" });
    };
  }, [away, client]);
  return away;
}
