import type { Belt } from "../../api/types";
import { kinds, type BoardFilter } from "./boardFilter";

interface Props {
  filter: BoardFilter;
  belts: readonly Belt[];
  onChange: (filter: BoardFilter) => void;
}

const select = "hairline bg-base-100 text-base-content rounded-md border-[1.5px] px-1.5 py-0.5";

/** Which columns and rows of the board are wanted. */
export function BoardFilters({ filter, belts, onChange }: Props) {
  return (
    <div className="no-print small mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <label className="flex items-center gap-1.5">
        show
        <select
          className={select}
          value={filter.kind ?? ""}
          onChange={(event) =>
            onChange({ ...filter, kind: kinds.find(([kind]) => kind === event.target.value)?.[0] })
          }
        >
          <option value="">everything</option>
          {kinds.map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-center gap-1.5">
        due
        <select
          className={select}
          value={filter.days ?? ""}
          onChange={(event) =>
            onChange({ ...filter, days: event.target.value ? Number(event.target.value) : undefined })
          }
        >
          <option value="">all year</option>
          <option value="7">within a week</option>
          <option value="28">within four weeks</option>
        </select>
      </label>
      <label className="flex items-center gap-1.5">
        wearing
        <select
          className={select}
          value={filter.belt ?? ""}
          onChange={(event) => onChange({ ...filter, belt: event.target.value || undefined })}
        >
          <option value="">any belt</option>
          <option value="none">no belt yet</option>
          {belts.map((belt) => (
            <option key={belt.id} value={belt.id}>
              {belt.name}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
