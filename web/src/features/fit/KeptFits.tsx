import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { shortDay } from "../../app/days";
import { studentFitsQuery } from "./fit.queries";

/** What was set for a student before, latest first. */
export function KeptFits({ studentId, name }: { studentId: string; name: string }) {
  const kept = useQuery(studentFitsQuery(studentId));
  if (!kept.data || kept.data.length === 0) return null;
  return (
    <section aria-label={`Fits of ${name}`} className="mt-6">
      <h2 className="mb-1 text-lg">Kept with {name}</h2>
      <ul>
        {kept.data.map((fit) => (
          <li
            key={fit.id}
            className="grid gap-x-4 border-b border-[var(--hairline)] py-1.5 sm:grid-cols-[10rem_12rem_1fr_auto]"
          >
            <span className="soft">{fit.title}</span>
            <b>{fit.result}</b>
            <span className="small">
              {fit.confirmed.length > 0 ? fit.confirmed.join(" · ") : "not confirmed by the body yet"}
              {fit.note && ` · ${fit.note}`}
            </span>
            <span className={clsx("small", fit.overdue ? "font-semibold" : "soft")}>
              {shortDay(fit.measuredOn)}, look again {fit.overdue ? "overdue since " : "by "}
              {shortDay(fit.reviewOn)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
