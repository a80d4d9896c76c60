import clsx from "clsx";
import type { Milestone, Outcome } from "../../api/types";
import { Kbd } from "../../ui/parts";
import { nextCriterion, type Marking } from "./run";

interface Props {
  marking: Marking;
  milestone: Milestone;
  marks: ReadonlyMap<number, number>;
  next?: string;
  onPass: () => void;
  onOutcome: (outcome: Outcome) => void;
  onExcuse: () => void;
}

/** The large keys: each names its key, one press marks and moves on. */
export function OutcomeKeys({ marking, milestone, marks, next, onPass, onOutcome, onExcuse }: Props) {
  const missing = marking === "points" && nextCriterion(milestone, marks) !== undefined;
  const low = marking === "points";
  const missed = marking === "seen" ? [...marks.values()].filter((points) => points === 0).length : 0;
  const firstName = next?.split(" ")[0];
  const recordWords =
    marking === "points"
      ? "Record"
      : missed === 0
        ? "Passed"
        : milestone.passMark === undefined
          ? "Record not seen"
          : `Record ${milestone.criteria.length - missed} of ${milestone.criteria.length} seen`;
  return (
    <div className="grid grid-cols-2 gap-3 lg:grid-cols-4" role="group" aria-label="Outcome">
      <OutcomeKey
        strong
        low={low}
        name={recordWords}
        hotkey="Enter"
        disabled={missing}
        words={
          missing
            ? "a digit for each criterion first"
            : firstName
              ? `next: ${firstName}`
              : "then all are heard"
        }
        onPress={onPass}
      />
      {marking !== "points" && (
        <OutcomeKey
          outlined
          low={low}
          name="Not yet"
          hotkey="Space"
          words="keeps it open, counts a try"
          onPress={() => onOutcome("NOT_YET")}
        />
      )}
      <OutcomeKey
        low={low}
        name="Absent"
        hotkey="A"
        words="back in the next run"
        onPress={() => onOutcome("ABSENT")}
      />
      <OutcomeKey low={low} name="Excused" hotkey="X" words="asks for a reason" onPress={onExcuse} />
    </div>
  );
}

interface KeyProps {
  name: string;
  hotkey: string;
  words: string;
  strong?: boolean;
  outlined?: boolean;
  disabled?: boolean;
  /** Where much else stands on the desk. */
  low?: boolean;
  onPress: () => void;
}

function OutcomeKey({ name, hotkey, words, strong, outlined, disabled, low, onPress }: KeyProps) {
  return (
    <button
      type="button"
      disabled={disabled}
      onClick={(event) => {
        // A tap leaves no focus behind, so that Enter stays "passed" for the next student.
        if (event.detail > 0) event.currentTarget.blur();
        onPress();
      }}
      className={clsx(
        "rounded-[14px] border-2 px-4 text-left align-top",
        low ? "min-h-[64px] pt-1.5 pb-1" : "min-h-[92px] pt-2.5 pb-2",
        strong && "border-neutral bg-neutral text-neutral-content disabled:opacity-55",
        outlined && "border-base-content hover:bg-base-200",
        !strong && !outlined && "hairline hover:bg-base-200",
      )}
    >
      <span className="flex items-center justify-between gap-2">
        <span className="display text-[1.4rem]">{name}</span>
        <Kbd>{hotkey}</Kbd>
      </span>
      <span className={clsx("small mt-1 block", !strong && "soft")}>{words}</span>
    </button>
  );
}
