import clsx from "clsx";
import type { LineAnalysis, SectionReading } from "../../api/types";

type Kind = SectionReading["demand"][number]["kind"];

const columns: [Kind, string][] = [
  ["NEW_NOTES", "New notes"],
  ["NOTES_PER_SECOND", "Fastest"],
  ["LEAP", "Leap"],
  ["HIDDEN_SKIPS", "Hidden skips"],
  ["ABOVE_RANGE", "High"],
  ["BELOW_RANGE", "Low"],
  ["ALTERED", "Altered"],
  ["BREATH_SECONDS", "Breath"],
  ["SLUR_SECONDS", "Slur"],
  ["REGISTER_BREAKS", "Break"],
  ["FINGERS_A_SECOND", "Fingers"],
  ["SLIDE_A_SECOND", "Slide"],
  ["CROSSINGS", "Crossings"],
  ["SHIFTS", "Shifts"],
  ["STRETCHES", "Stretches"],
];

interface Props {
  readers: readonly SectionReading[];
  hardest: LineAnalysis["hardest"];
  chosen?: string;
}

/** What the line asks of each section, each with the measure where it peaks. Never one score. */
export function DemandTable({ readers, hardest, chosen }: Props) {
  if (readers.length === 0) return <p className="soft">Choose a class to compare its sections.</p>;
  const present = columns.filter(([kind]) =>
    readers.some((r) => r.demand.some((d) => d.kind === kind && d.value > 0)),
  );
  const alike = readers.length > 1 ? present.filter(([kind]) => isAlike(readers, kind)) : [];
  const asked = present.filter((column) => !alike.includes(column));
  return (
    <section aria-label="Demand">
      <h2 className="mb-1 text-lg">What it asks, section by section</h2>
      {hardest.length > 0 && (
        <ul aria-label="Who has the hard one" className="mb-2">
          {hardest.map((one) => (
            <li key={one.kind} className={clsx(one.instrument === chosen && "font-semibold")}>
              {one.sentence}.
            </li>
          ))}
        </ul>
      )}
      {alike.length > 0 && (
        <p className="mb-2">
          <span className="soft">Alike for everybody: </span>
          {alike
            .map(([kind, name]) => {
              const peak = readers[0]!.demand.find((d) => d.kind === kind)!;
              return `${name.toLowerCase()} ${peak.words}, m. ${peak.number}`;
            })
            .join(" · ")}
        </p>
      )}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Demand by section">
        <table className="w-full text-[0.88rem]">
          <thead>
            <tr className="small soft border-base-content border-b-[1.5px] text-left">
              <th scope="col" className="py-1 pr-3 font-normal">
                Section
              </th>
              {asked.map(([kind, name]) => (
                <th key={kind} scope="col" className="pr-3 font-normal">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {readers.map((reader) => (
              <Row
                key={reader.instrument}
                reader={reader}
                asked={asked}
                readers={readers}
                on={reader.instrument === chosen}
              />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** Whether every section is asked the same at the same place. */
function isAlike(readers: readonly SectionReading[], kind: Kind): boolean {
  const peaks = readers.map((r) => r.demand.find((d) => d.kind === kind));
  return peaks.every((peak) => peak && peak.value === peaks[0]?.value && peak.number === peaks[0].number);
}

interface RowProps {
  reader: SectionReading;
  readers: readonly SectionReading[];
  asked: readonly (readonly [Kind, string])[];
  on: boolean;
}

function Row({ reader, readers, asked, on }: RowProps) {
  return (
    <tr className={clsx("border-b border-[var(--hairline)] align-top", on && "bg-base-200")}>
      <th scope="row" className="py-1 pr-3 text-left font-semibold">
        {reader.name}
      </th>
      {asked.map(([kind]) => {
        const peak = reader.demand.find((d) => d.kind === kind);
        const most = Math.max(...readers.map((r) => r.demand.find((d) => d.kind === kind)?.value ?? 0));
        return (
          <td key={kind} className="py-1 pr-3 whitespace-nowrap">
            {peak && (
              <>
                {peak.words}
                <span aria-hidden className="bg-base-300 mt-0.5 block h-1.5 w-14">
                  <span
                    className="bg-base-content block h-full"
                    style={{ width: `${most > 0 ? (100 * Math.max(0, peak.value)) / most : 0}%` }}
                  />
                </span>
                {peak.value > 0 && <span className="soft block text-[0.8rem]">m. {peak.number}</span>}
              </>
            )}
          </td>
        );
      })}
    </tr>
  );
}
