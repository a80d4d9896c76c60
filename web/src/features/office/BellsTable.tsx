import { Cell } from "../../ui/Field";
import { Button, IconButton } from "../../ui/parts";
import { nextBell, type BellDraft } from "./yearDraft";

const columns = ["Period", "Campus", "Begins", "Minutes", "On short days", "Minutes then", ""];

/** The periods of the day: classes take their times from them, and short days have their own. */
export function BellsTable({
  bells,
  faulty,
  sentence,
  onChange,
}: {
  bells: readonly BellDraft[];
  /** Place of the period a refusal is about. */
  faulty?: number;
  sentence?: string;
  onChange: (bells: BellDraft[]) => void;
}) {
  const change = (key: string, part: Partial<BellDraft>) =>
    onChange(bells.map((bell) => (bell.key === key ? { ...bell, ...part } : bell)));
  return (
    <details className="border-b border-[var(--hairline)] pb-3" open={bells.length > 0 || undefined}>
      <summary className="cursor-pointer py-1 font-semibold">
        Periods of the day
        <span className="soft small ml-3 font-normal">
          {bells.length > 0
            ? "a period without a time on short days does not meet on them"
            : "give them once, and classes take their times from them"}
        </span>
      </summary>
      <table className="mt-1 w-full max-w-[56rem]">
        <thead>
          <tr className="small soft text-left">
            {columns.map((heading, i) => (
              <th key={heading || i} scope="col" className="pr-2 font-normal">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {bells.map((bell, i) => {
            const which = `period ${bell.period}`;
            const cell = (
              part: keyof BellDraft,
              label: string,
              type: string,
              extra: { placeholder?: string } = {},
            ) => (
              <td className="pr-2 pb-1">
                <Cell
                  type={type}
                  aria-label={`${label} of ${which}`}
                  aria-invalid={faulty === i}
                  value={bell[part]}
                  {...extra}
                  onChange={(e) => change(bell.key, { [part]: e.target.value })}
                />
              </td>
            );
            return (
              <tr key={bell.key}>
                {cell("period", "Number", "number")}
                {cell("campus", "Campus", "text", { placeholder: "every" })}
                {cell("startsAt", "Begin", "time")}
                {cell("minutes", "Minutes", "number")}
                {cell("shortStartsAt", "Begin on short days", "time")}
                {cell("shortMinutes", "Minutes on short days", "number")}
                <td>
                  <IconButton
                    label={`Take away ${which}`}
                    onPress={() => onChange(bells.filter((other) => other.key !== bell.key))}
                  >
                    ×
                  </IconButton>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {faulty !== undefined && (
        <p role="alert" className="small text-error font-semibold">
          {sentence}
        </p>
      )}
      <Button small className="mt-1" onClick={() => onChange([...bells, nextBell(bells)])}>
        Add a period
      </Button>
    </details>
  );
}
