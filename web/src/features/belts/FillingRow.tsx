import { useQuery } from "@tanstack/react-query";
import { X } from "lucide-react";
import type { FillingForm } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { looks } from "../../ui/looks";
import { FAMILIES, type fillings } from "./ladderForm";
import { MilestoneOptions } from "./MilestoneOptions";

interface Props {
  filling: FillingForm;
  place: number;
  groups: ReturnType<typeof fillings>;
  onChange: (filling: FillingForm) => void;
  onRemove?: () => void;
}

/** Where nothing is chosen the student brings a piece. */
const OWN_PIECE = "";

/** Who fills a slot with what. */
export function FillingRow({ filling, place, groups, onChange, onRemove }: Props) {
  const instruments = useQuery(instrumentsQuery);
  return (
    <div className="grid grid-cols-[9.5rem_minmax(0,1fr)_auto] items-center gap-2">
      <select
        aria-label={`Slot ${place}, for whom`}
        className={`${looks.smallSelect} w-full`}
        value={filling.whom}
        onChange={(event) => onChange({ ...filling, whom: event.target.value })}
      >
        {filling.whom === "" && <option value="">choose whom</option>}
        {FAMILIES.map(([code, name]) => (
          <option key={code} value={code}>
            {name}
          </option>
        ))}
        <optgroup label="One instrument">
          {instruments.data?.map((one) => (
            <option key={one.code} value={one.code}>
              {one.name.toLowerCase()}
            </option>
          ))}
        </optgroup>
      </select>
      <select
        aria-label={`Slot ${place}, filled by`}
        className={`${looks.smallSelect} w-full`}
        value={filling.milestoneId ?? OWN_PIECE}
        onChange={(event) => onChange({ ...filling, milestoneId: event.target.value || undefined })}
      >
        <option value={OWN_PIECE}>free choice: the student brings it</option>
        <MilestoneOptions groups={groups} />
      </select>
      {onRemove ? (
        <button
          type="button"
          aria-label="Take this filling away"
          className={looks.smallQuiet}
          onClick={onRemove}
        >
          <X size={15} aria-hidden />
        </button>
      ) : (
        <span />
      )}
    </div>
  );
}
