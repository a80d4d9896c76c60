import clsx from "clsx";
import type { Choice } from "../../api/types";
import { milestoneName } from "./milestoneName";

interface Props {
  /** Other lines that are set here. */
  choices: readonly Choice[];
  also: ReadonlySet<string>;
  onToggle: (milestoneId: string) => void;
}

/** More lines that are heard in one go: what is pressed counts for each of them. */
export function AlsoHeard({ choices, also, onToggle }: Props) {
  if (choices.length === 0) return null;
  return (
    <details open={also.size > 0} className="small">
      <summary className="soft cursor-pointer">
        {also.size === 0 ? "Several lines in one go" : `and ${also.size} more with each press`}
      </summary>
      <div role="group" aria-label="Lines heard in one go" className="mt-1.5 flex flex-wrap gap-1.5">
        {choices.map((choice) => (
          <button
            key={choice.milestoneId}
            type="button"
            aria-pressed={also.has(choice.milestoneId)}
            onClick={(event) => {
              if (event.detail > 0) event.currentTarget.blur();
              onToggle(choice.milestoneId);
            }}
            className={clsx(
              "min-h-9 rounded-lg border-[1.5px] px-2.5 py-1",
              also.has(choice.milestoneId)
                ? "border-base-content bg-base-300 font-semibold"
                : "hairline hover:bg-base-200",
            )}
          >
            {milestoneName(choice)}
          </button>
        ))}
      </div>
    </details>
  );
}
