import clsx from "clsx";
import type { SectionReading } from "../../api/types";
import { hardestFor } from "./line";

type Kind = SectionReading["demand"][number]["kind"];

const columns: [Kind, string][] = [
  ["NOTES_PER_SECOND", "Fastest"],
  ["LEAP", "Leap"],
  ["ABOVE_RANGE", "High"],
  ["BELOW_RANGE", "Low"],
  ["ALTERED", "Altered"],
  ["BREATH_SECONDS", "Breath"],
];

/** What the line asks of each section, each with the measure where it peaks. Never one score. */
export function DemandTable({ readers, chosen }: { readers: readonly SectionReading[]; chosen?: string }) {
  if (readers.length === 0) return <p className="soft">Choose a class to compare its sections.</p>;
  const hard = columns
    .map(([kind, name]) => ({ name, who: hardestFor(readers, kind) }))
    .filter(({ who }) => who !== undefined);
  return (
    <section aria-label="Demand">
      <h2 className="mb-1 text-lg">What it asks, section by section</h2>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Demand by section">
        <table className="w-full text-[0.9rem]">
          <thead>
            <tr className="small soft border-base-content border-b-[1.5px] text-left">
              <th scope="col" className="py-1 pr-3 font-normal">
                Section
              </th>
              {columns.map(([kind, name]) => (
                <th key={kind} scope="col" className="pr-3 font-normal">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {readers.map((reader) => (
              <tr
                key={reader.instrument}
                className={clsx(
                  "border-b border-[var(--hairline)] align-top",
                  reader.instrument === chosen && "bg-base-200",
                )}
              >
                <th scope="row" className="py-1 pr-3 text-left font-semibold">
                  {reader.name}
                </th>
                {columns.map(([kind]) => {
                  const peak = reader.demand.find((d) => d.kind === kind);
                  return (
                    <td key={kind} className="py-1 pr-3">
                      {peak?.words}
                      {peak && <span className="soft block text-[0.8rem]">m. {peak.number}</span>}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {hard.length > 0 && (
        <p className="mt-2">
          {hard.map(({ name, who }) => `${name}: ${who}`).join(" · ")}
          <span className="soft"> has more of it than the others.</span>
        </p>
      )}
    </section>
  );
}
