import { useEffect, useRef, useState } from "react";
import { Button } from "../../ui/parts";
import { Field } from "../../ui/Field";
import type { Excuse } from "./useRun";
import { looks } from "../../ui/looks";

const usual = ["Injury or illness", "Instrument in repair", "School event", "Family matter"];

/** Why a student is excused: one more tap, or own words. */
export function ExcuseReasons({
  name,
  onReason,
  onBack,
}: {
  name: string;
  onReason: (excuse: Excuse) => void;
  onBack: () => void;
}) {
  const [own, setOwn] = useState("");
  const [waived, setWaived] = useState(false);
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => first.current?.focus(), []);
  return (
    <div
      role="group"
      aria-label={`Why is ${name} excused?`}
      className="border-base-content grid gap-3 rounded-[14px] border-2 p-4"
    >
      <p className="display text-lg">Why is {name} excused?</p>
      <div className="flex flex-wrap gap-2">
        {usual.map((reason, i) => (
          <Button key={reason} ref={i === 0 ? first : undefined} onClick={() => onReason({ reason, waived })}>
            {reason}
          </Button>
        ))}
        <Button look="quiet" onClick={onBack}>
          Back
        </Button>
      </div>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (own.trim()) onReason({ reason: own.trim(), waived });
        }}
      >
        <div className="min-w-52 grow">
          <Field
            label="Another reason"
            maxLength={300}
            value={own}
            onChange={(event) => setOwn(event.target.value)}
          />
        </div>
        <Button type="submit" disabled={!own.trim()}>
          Excuse
        </Button>
      </form>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className={looks.checkbox}
          checked={waived}
          onChange={(e) => setWaived(e.target.checked)}
        />
        Waive it: does not hold up the belt
      </label>
    </div>
  );
}
