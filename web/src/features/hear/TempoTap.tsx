import { Kbd } from "../../ui/parts";
import { tempoOf } from "./beside";

interface Props {
  taps: readonly number[];
  /** What the line asks, in beats a minute. */
  goal: number;
  /** The slowest and fastest a test allows; undefined where nothing is allowed for. */
  within?: readonly (number | undefined)[];
  onTap: () => void;
}

/** Tapped along with the beat: how fast it was played, against what the line asks. */
export function TempoTap({ taps, goal, within, onTap }: Props) {
  const tempo = tempoOf(taps);
  const [slowest, fastest] = within ?? [];
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
          {tempo !== undefined && slowest !== undefined && tempo < slowest && <b> too slow</b>}
          {tempo !== undefined && fastest !== undefined && tempo > fastest && <b> too fast</b>}
        </span>
      )}
    </button>
  );
}
