import { useQuery } from "@tanstack/react-query";
import { instrumentsQuery } from "../../app/queries";
import { looks } from "../../ui/looks";

interface Props {
  instruments: readonly string[];
  onChange: (instruments: string[]) => void;
  /** What it means when none is ticked. */
  nobody: string;
}

const MOST_NAMED = 4;

/** Which instruments a ladder is for. */
export function WhomFor({ instruments, onChange, nobody }: Props) {
  const all = useQuery(instrumentsQuery);
  const names = all.data
    ?.filter((one) => instruments.includes(one.code))
    .map((one) => one.name.toLowerCase());
  const toggle = (code: string) =>
    onChange(instruments.includes(code) ? instruments.filter((one) => one !== code) : [...instruments, code]);
  return (
    <details>
      <summary className="cursor-pointer">
        {instruments.length === 0
          ? nobody
          : instruments.length <= MOST_NAMED
            ? `for ${names?.join(", ") ?? "some instruments"}`
            : `for ${instruments.length} instruments`}
      </summary>
      <fieldset className="mt-1.5 grid gap-x-4 sm:grid-cols-2">
        <legend className="sr-only">Which instruments</legend>
        {all.data?.map((one) => (
          <label key={one.code} className="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              className={looks.checkbox}
              checked={instruments.includes(one.code)}
              onChange={() => toggle(one.code)}
            />
            {one.name}
          </label>
        ))}
      </fieldset>
    </details>
  );
}
