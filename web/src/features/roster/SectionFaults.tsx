import { useQuery } from "@tanstack/react-query";
import { shortDay } from "../../app/days";
import type { Scope } from "../../app/scope";
import { counted } from "../../ui/words";
import { sectionFaultsQuery } from "./roster.queries";

const SHOWN = 8;

/** What goes wrong in the sections shown this year, what most students do first: what partners watch for. */
export function SectionFaults({ scope }: { scope: Scope }) {
  const faults = useQuery(sectionFaultsQuery(scope));
  if (!faults.data || faults.data.length === 0) return null;
  return (
    <section aria-labelledby="section-faults" className="mt-5">
      <h2 id="section-faults" className="mb-1 text-lg">
        What goes wrong here this year
      </h2>
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {faults.data.slice(0, SHOWN).map((fault) => (
          <li
            key={fault.sign}
            className="flex flex-wrap justify-between gap-x-4 border-b border-[var(--hairline)] py-1"
          >
            <span>
              {fault.sign}
              {fault.measure !== undefined && <span className="soft">, often measure {fault.measure}</span>}
            </span>
            <span className="small soft">
              {counted(fault.students, "student")}, {counted(fault.tries, "try", "tries")}, last{" "}
              {shortDay(fault.lastOn)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
