import { useSyncExternalStore } from "react";
import { Link } from "react-router";
import type { Choice } from "../../api/types";
import { live } from "../../app/live";
import { scopeSearch, useScope } from "../../app/scope";
import { goingOn } from "./goingOn";

/** Runs that others are in at the moment: to hear along, or to take one over. */
export function GoingOn({ choices }: { choices: readonly Choice[] }) {
  const { search } = useScope();
  const desks = useSyncExternalStore(live.subscribe, live.desks);
  const runs = goingOn([...desks.values()], choices);
  if (runs.length === 0) return null;
  return (
    <ul aria-label="Going on" className="mb-4 grid gap-1 border-l-[3.5px] border-[var(--now)] pl-3">
      {runs.map(({ milestoneId, name, hearers }) => (
        <li key={milestoneId}>
          {hearers} {hearers.includes(" and ") ? "hear" : "hears"} {name}.{" "}
          <Link to={{ pathname: `/hear/${milestoneId}`, search: scopeSearch(search, {}) }}>Hear along</Link>
        </li>
      ))}
    </ul>
  );
}
