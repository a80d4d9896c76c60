import clsx from "clsx";
import { useKeys } from "../../app/useKeys";

export type Look = "STAFF" | "BOTH" | "FINGERS";

const names: Record<Look, string> = {
  STAFF: "Notes",
  BOTH: "Notes with fingerings",
  FINGERS: "Fingers without staff",
};

const strokes: Partial<Record<Look, string>> = { STAFF: "Notes", BOTH: "Notes with sticking" };

interface Props {
  look: Look;
  onLook: (look: Look) => void;
  /** Whether strokes are shown, not pitches. */
  struck?: boolean;
}

/** How a line is shown: notes, notes with fingerings or sticking, or fingers alone for first weeks. */
export function LookPicker({ look, onLook, struck = false }: Props) {
  const shown = struck ? strokes : names;
  const looks = Object.keys(shown) as Look[];
  useKeys({ v: () => onLook(looks[(looks.indexOf(look) + 1) % looks.length]!) });
  return (
    <div role="group" aria-label="Shown as" className="flex flex-wrap gap-1">
      {looks.map((key) => (
        <button
          key={key}
          type="button"
          aria-pressed={look === key}
          onClick={() => onLook(key)}
          className={clsx(
            "rounded-lg border-[1.5px] px-2.5 py-0.5 text-[0.95rem]",
            look === key ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
          )}
        >
          {shown[key]}
        </button>
      ))}
    </div>
  );
}
