import { useQuery } from "@tanstack/react-query";
import { v7 as newId } from "uuid";
import { instrumentsQuery } from "../../app/queries";
import { Cell } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Button, IconButton } from "../../ui/parts";
import type { WantedDraft } from "./classForm";

/** How many a director wants in each section; what is not said is not wanted by number. */
export function WantedRows({
  wanted,
  onChange,
}: {
  wanted: readonly WantedDraft[];
  onChange: (wanted: WantedDraft[]) => void;
}) {
  const instruments = useQuery(instrumentsQuery);
  const change = (key: string, part: Partial<WantedDraft>) =>
    onChange(wanted.map((one) => (one.key === key ? { ...one, ...part } : one)));
  return (
    <fieldset className="grid gap-1.5">
      <legend className="mb-1 font-semibold">
        Wanted numbers{" "}
        <span className="soft small font-normal">for a balance one aims at; may stay empty</span>
      </legend>
      {wanted.map((one, i) => (
        <div key={one.key} className="grid grid-cols-[1fr_1fr_5rem_auto] gap-1.5">
          <select
            aria-label={`Instrument wanted ${i + 1}`}
            className={looks.smallSelect}
            value={one.instrument}
            onChange={(e) => change(one.key, { instrument: e.target.value })}
          >
            <option value="">instrument</option>
            {instruments.data?.map((instrument) => (
              <option key={instrument.code} value={instrument.code}>
                {instrument.name}
              </option>
            ))}
          </select>
          <Cell
            aria-label={`Division wanted ${i + 1}`}
            placeholder="division"
            value={one.division}
            onChange={(e) => change(one.key, { division: e.target.value })}
          />
          <Cell
            type="number"
            min={1}
            aria-label={`Students wanted ${i + 1}`}
            value={one.students}
            onChange={(e) => change(one.key, { students: e.target.value })}
          />
          <IconButton
            label={`Take away what is wanted ${i + 1}`}
            onPress={() => onChange(wanted.filter((other) => other.key !== one.key))}
          >
            ×
          </IconButton>
        </div>
      ))}
      <Button
        small
        className="justify-self-start"
        onClick={() => onChange([...wanted, { key: newId(), instrument: "", division: "", students: "" }])}
      >
        Want a section
      </Button>
    </fieldset>
  );
}
