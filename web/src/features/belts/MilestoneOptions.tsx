import type { fillings } from "./ladderForm";

/** What there is to choose, by kind. */
export function MilestoneOptions({ groups }: { groups: ReturnType<typeof fillings> }) {
  return groups.map(([kind, entries]) => (
    <optgroup key={kind} label={kind}>
      {entries.map(([id, title]) => (
        <option key={id} value={id}>
          {title}
        </option>
      ))}
    </optgroup>
  ));
}
