import { useQueries } from "@tanstack/react-query";
import type { Milestone, ScopeRequest } from "../../api/types";
import { readinessQuery } from "../library/checks.queries";
import { missingWords } from "./readiness";

/** What comes before the checks that are chosen, and who in the sections chosen has still to pass it. */
export function BeforeThis({
  checks,
  scopes,
}: {
  checks: readonly Milestone[];
  scopes: readonly ScopeRequest[];
}) {
  const asked = checks.flatMap((check) => scopes.map((scope) => ({ check, scope })));
  const answers = useQueries({ queries: asked.map(({ check, scope }) => readinessQuery(check.id, scope)) });
  const open = asked
    .flatMap(({ check }, i) => (answers[i]?.data ?? []).map((before) => ({ check, before })))
    .filter(({ before }) => before.missing.length > 0);
  if (asked.length === 0 || open.length === 0) return null;
  return (
    <section aria-label="Comes before" className="border-l-[3.5px] border-[var(--now)] pl-3">
      <ul className="grid gap-1">
        {open.map(({ check, before }) => (
          <li key={check.id + before.milestoneId}>
            <b>{before.title}</b> comes before “{check.title}”:{" "}
            <span className="soft">{missingWords(before)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
