import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import type { Me } from "../api/types";
import { outbox } from "../features/hear/outbox";

/**
 * Hands the device's marks to whoever is signed in. Where that is somebody else than before, nothing that was read for
 * the other one is shown on.
 */
export function useMarksOf(me: Me | undefined) {
  const client = useQueryClient();
  const before = useRef<string>(undefined);
  const { programId, accountId, displayName: name } = me ?? {};
  useEffect(() => {
    if (!programId || !accountId || name === undefined) return outbox.close();
    const owner = `${programId} ${accountId}`;
    if (before.current !== undefined && before.current !== owner) {
      client.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== "me" });
    }
    before.current = owner;
    void outbox.open({ programId, accountId, name });
  }, [client, programId, accountId, name]);
}
