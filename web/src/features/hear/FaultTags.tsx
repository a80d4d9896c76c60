import clsx from "clsx";
import { Kbd } from "../../ui/parts";
import type { FaultMark } from "./beside";

interface Props {
  /** The signs that belong to this milestone and instrument. */
  signs: readonly string[];
  noted: readonly FaultMark[];
  /** Whether the digits are theirs; else F hands the digits over, and until then they stay folded. */
  digits: boolean;
  onDigits: () => void;
  onToggle: (sign: string) => void;
}

/** What went wrong, one tap or digit each; kept with the outcome that is pressed next. */
export function FaultTags({ signs, noted, digits, onDigits, onToggle }: Props) {
  if (signs.length === 0) return null;
  if (!digits && noted.length === 0)
    return (
      <button type="button" className="small soft" onClick={onDigits}>
        <Kbd>F</Kbd> what went wrong
      </button>
    );
  return (
    <div role="group" aria-label="What went wrong" className="contents">
      {signs.map((sign, i) => {
        const mark = noted.find((one) => one.sign === sign);
        return (
          <button
            key={sign}
            type="button"
            aria-pressed={mark !== undefined}
            onClick={(event) => {
              if (event.detail > 0) event.currentTarget.blur();
              onToggle(sign);
            }}
            className={clsx(
              "flex min-h-8 items-center gap-1.5 rounded-lg border-[1.5px] px-2 text-left text-[0.9rem] [@media(pointer:coarse)]:min-h-10",
              mark ? "border-base-content bg-base-300 font-semibold" : "hairline hover:bg-base-200",
            )}
          >
            {digits && i < 9 && <Kbd>{i + 1}</Kbd>}
            {sign}
            {mark?.measure !== undefined && <span className="font-normal">m. {mark.measure}</span>}
          </button>
        );
      })}
      {noted
        .filter((mark) => !signs.includes(mark.sign))
        .map((mark) => (
          <span key={mark.sign} className="small">
            {mark.sign}
          </span>
        ))}
    </div>
  );
}
