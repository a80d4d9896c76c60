import type { TestDraft } from "../../api/types";
import { Cell, SelectField } from "../../ui/Field";
import { numberOf } from "./testDraft";

type Retakes = TestDraft["retakes"];

/** Which try counts, how many there are, and what late and substitute pieces are worth. */
export function RetakeFields({
  retakes,
  onChange,
}: {
  retakes: Retakes;
  onChange: (retakes: Retakes) => void;
}) {
  const put = (change: Partial<Retakes>) => onChange({ ...retakes, ...change });
  const number = "!w-16 text-center";
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold">Retakes</legend>
      <div className="grid gap-2">
        <SelectField
          label="Which try counts"
          small
          value={retakes.counting}
          onChange={(event) => {
            const counting = event.target.value as Retakes["counting"];
            put({ counting, capPercent: counting === "CAPPED" ? (retakes.capPercent ?? 90) : undefined });
          }}
        >
          <option value="BEST">the best</option>
          <option value="REPLACE">the last</option>
          <option value="AVERAGE">all of them, on average</option>
          <option value="CAPPED">the best, retakes up to a cap</option>
        </SelectField>
        <p className="flex flex-wrap items-center gap-1.5">
          {retakes.counting === "CAPPED" && (
            <>
              up to
              <Cell
                aria-label="Most a retake scores, in percent"
                className={number}
                value={retakes.capPercent ?? ""}
                onChange={(event) => put({ capPercent: numberOf(event.target.value) })}
              />
              %,
            </>
          )}
          at most
          <Cell
            aria-label="Most retakes"
            placeholder="any"
            className={number}
            value={retakes.mostRetakes ?? ""}
            onChange={(event) => put({ mostRetakes: numberOf(event.target.value) })}
          />
          retakes, within
          <Cell
            aria-label="Days for retakes"
            placeholder="any"
            className={number}
            value={retakes.windowDays ?? ""}
            onChange={(event) => put({ windowDays: numberOf(event.target.value) })}
          />
          days of the first try.
        </p>
        <p className="flex flex-wrap items-center gap-1.5">
          Heard late it counts
          <Cell
            aria-label="What is late counts, in percent"
            className={number}
            value={retakes.latePercent}
            onChange={(event) => put({ latePercent: numberOf(event.target.value) ?? 0 })}
          />
          %, a substitute piece
          <Cell
            aria-label="A substitute piece counts, in percent"
            className={number}
            value={retakes.substitutePercent}
            onChange={(event) => put({ substitutePercent: numberOf(event.target.value) ?? 0 })}
          />
          %.
        </p>
      </div>
    </fieldset>
  );
}
