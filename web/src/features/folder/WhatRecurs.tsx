import type { Folder } from "../../api/types";
import { shortDay } from "../../app/days";
import { counted } from "../../ui/words";

/** Faults of this student that came back this year. */
export function WhatRecurs({ recurring }: { recurring: Folder["recurring"] }) {
  if (recurring.length === 0) return null;
  return (
    <section aria-labelledby="recurs" className="mb-6">
      <h2 id="recurs" className="mb-1 text-lg">
        What recurs
      </h2>
      <ul>
        {recurring.map((fault) => (
          <li
            key={fault.sign}
            className="flex flex-wrap justify-between gap-x-4 border-b border-[var(--hairline)] py-1"
          >
            <span>
              {fault.sign}
              {fault.measure !== undefined && <span className="soft">, often measure {fault.measure}</span>}
            </span>
            <span className="small soft">
              {counted(fault.tries, "try", "tries")}, last {shortDay(fault.lastOn)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
