import clsx from "clsx";
import { useKeys } from "../../app/useKeys";

export type Look = "STAFF" | "NAMES" | "BOTH" | "SYLLABLES" | "BOWING" | "FINGERS";

const names: Record<Look, string> = {
  STAFF: "Notes",
  NAMES: "with names",
  BOTH: "with fingerings",
  SYLLABLES: "with syllables",
  BOWING: "with bowing",
  FINGERS: "Fingers without staff",
};

interface Props {
  look: Look;
  looks: readonly Look[];
  onLook: (look: Look) => void;
  /** Whether strokes are shown, not pitches. */
  struck?: boolean;
}

/** How a line is shown: notes, with what stands under or over them, or fingers alone for first weeks. */
export function LookPicker({ look, looks, onLook, struck = false }: Props) {
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
          {struck && key === "BOTH" ? "with sticking" : names[key]}
        </button>
      ))}
    </div>
  );
}
