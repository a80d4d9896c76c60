import type { PartnerProposal } from "../../api/types";
import { Cell } from "../../ui/Field";
import type { MeasuresTyped } from "./partners";

interface Props {
  parts: PartnerProposal["parts"];
  measures: number;
  typed: ReadonlyMap<string, MeasuresTyped>;
  onType: (key: string, change: MeasuresTyped) => void;
}

/** Divisions may watch different measures; left empty, all watch the whole line. */
export function MeasuresByPart({ parts, measures, typed, onType }: Props) {
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold">
        Measures <span className="small soft font-normal">empty for all {measures}</span>
      </legend>
      <ul className="grid gap-1.5">
        {parts.map((part) => {
          const key = `${part.instrument}/${part.division}`;
          const name = part.division ? `${part.instrumentName}, ${part.division}` : part.instrumentName;
          const now = typed.get(key) ?? { first: "", last: "" };
          return (
            <li key={key} className="grid grid-cols-[1fr_4rem_auto_4rem] items-center gap-2">
              <span>{name}</span>
              <Cell
                aria-label={`First measure for ${name}`}
                inputMode="numeric"
                value={now.first}
                onChange={(event) => onType(key, { ...now, first: event.target.value })}
              />
              <span className="soft">to</span>
              <Cell
                aria-label={`Last measure for ${name}`}
                inputMode="numeric"
                value={now.last}
                onChange={(event) => onType(key, { ...now, last: event.target.value })}
              />
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}
