import { useQuery } from "@tanstack/react-query";
import { checkQuery } from "../library/checks.queries";
import { Remedies } from "../library/CheckSheet";

/** Beside a check being heard: its cautions, and from symptom to remedy. Nothing where nothing is written. */
export function WhatToTry({ milestoneId }: { milestoneId: string }) {
  const described = useQuery(checkQuery(milestoneId));
  if (!described.data) return null;
  const { check } = described.data;
  return (
    <section aria-label="What to try" className="mt-5">
      {check.cautions.length > 0 && (
        <p className="small mb-2 border-l-[3.5px] border-[var(--now)] pl-3">{check.cautions.join(" ")}</p>
      )}
      <details>
        <summary className="cursor-pointer font-semibold">What to try: from symptom to remedy</summary>
        <div className="mt-2.5">
          <Remedies check={check} />
        </div>
      </details>
    </section>
  );
}
