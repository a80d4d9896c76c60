import { useQuery } from "@tanstack/react-query";
import type { WarmUpPart } from "../../api/types";
import { DemonstrationFile } from "../../ui/DemonstrationFile";
import { allDemonstrationsQuery } from "./warmUp.queries";
import { looks } from "../../ui/looks";

interface Props {
  part: WarmUpPart;
  /** Where the plan may be changed. */
  onChange?: (demonstrationId: string | undefined) => void;
}

/** A demonstration that hangs on a part of the warm-up, to be played where it stands. */
export function PartDemonstration({ part, onChange }: Props) {
  const all = useQuery({
    ...allDemonstrationsQuery,
    enabled: Boolean(onChange) || Boolean(part.demonstrationId),
  });
  const hangs = all.data?.find((one) => one.id === part.demonstrationId);
  if (!hangs && (!onChange || !all.data?.length)) return null;
  return (
    <div className="mt-1.5 ml-5 flex flex-wrap items-center gap-3">
      {hangs && <DemonstrationFile one={hangs} />}
      {onChange && (
        <select
          aria-label={`Demonstration for ${part.title}`}
          className={`${looks.smallSelect} w-60`}
          value={part.demonstrationId ?? ""}
          onChange={(event) => onChange(event.target.value || undefined)}
        >
          <option value="">No demonstration</option>
          {all.data?.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      )}
    </div>
  );
}
