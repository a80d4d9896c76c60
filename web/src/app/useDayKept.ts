import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { keptReads } from "./kept/client";
import { prepareDay } from "./kept/prepareDay";

/** The screens come first; ours. */
const AFTER = 20_000;

/** Some time after the app was opened, and every two hours, what today is heard with is read ahead. */
export function useDayKept(day: string) {
  const client = useQueryClient();
  useEffect(() => {
    const prepare = () => {
      if (document.visibilityState === "visible") void prepareDay(client, keptReads);
    };
    const first = setTimeout(prepare, AFTER);
    const again = setInterval(prepare, 2 * 60 * 60_000);
    void keptReads.prune();
    return () => {
      clearTimeout(first);
      clearInterval(again);
    };
  }, [client, day]);
}
