import type { LineAnalysis, LineNotes, SectionReading } from "../../api/types";

interface Props {
  reading?: SectionReading;
  echoes: LineAnalysis["echoes"];
  /** Measures met in earlier lines. */
  borrowed?: LineNotes["likeness"]["measures"];
}

/** What misleads this section, numbered as the brackets under the staff, and what only repeats an earlier measure. */
export function TrapList({ reading, echoes, borrowed = [] }: Props) {
  const recalled = echoes.filter((echo) => echo.likeness !== "SAME_RHYTHM");
  const within = new Set(recalled.map((echo) => echo.number));
  const met = borrowed.filter((one) => !within.has(one.measure));
  return (
    <div className="grid content-start gap-4">
      <section aria-label="Traps">
        <h2 className="mb-1 text-lg">Traps</h2>
        {!reading && <p className="soft">Choose a section to see what misleads it.</p>}
        {reading?.traps.length === 0 && <p className="soft">Nothing misleads here.</p>}
        <ol>
          {reading?.traps.map((trap, i) => (
            <li key={i} className="grid grid-cols-[1.4rem_3.4rem_1fr] border-b border-[var(--hairline)] py-1">
              <b>{i + 1}</b>
              <span className="soft">m. {trap.number}</span>
              <span>{trap.sentence}</span>
            </li>
          ))}
        </ol>
        {reading && reading.outside.length > 0 && (
          <p className="mt-1.5">
            Beyond this stage’s range: <b>{reading.outside.join(", ")}</b>
          </p>
        )}
      </section>
      {recalled.length + met.length > 0 && (
        <section aria-label="Recalled">
          <h2 className="mb-1 text-lg">Recall, do not start anew</h2>
          <ul>
            {recalled.map((echo) => (
              <li key={echo.measure} className="grid grid-cols-[3.4rem_1fr] py-0.5">
                <span className="soft">m. {echo.number}</span>
                <span>{echo.sentence}</span>
              </li>
            ))}
            {met.map((one) => (
              <li key={`met ${one.measure}`} className="grid grid-cols-[3.4rem_1fr] py-0.5">
                <span className="soft">m. {one.measure}</span>
                <span>Met before: {one.words}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
