import { Kbd } from "../../ui/parts";
import { tempoOf } from "./beside";

interface Props {
  taps: readonly number[];
  /** What the line asks, in beats a minute. */
  goal: number;
  onTap: () => void;
}

/** Tapped along with the beat: how fast it was played, against what the line asks. */
export function TempoTap({ taps, goal, onTap }: Props) {
  const tempo = tempoOf(taps);
  return (
    <button
      type="button"
      onClick={(event) => {
        if (event.detail > 0) event.currentTarget.blur();
        onTap();
      }}
      className="hairline hover:bg-base-200 flex min-h-8 items-center gap-1.5 rounded-lg border-[1.5px] px-2 text-[0.9rem] [@media(pointer:coarse)]:min-h-10"
    >
      <Kbd>B</Kbd>
      {tempo === undefined ? (
        <span className="small soft">{taps.length === 0 ? "tap the beat" : "go on tapping"}</span>
      ) : (
        <span aria-live="polite">
          <b>♩ = {tempo}</b> <span className="small soft">of {goal}</span>
        </span>
      )}
    </button>
  );
}
