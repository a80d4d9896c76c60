import { useState } from "react";
import type { LibraryView, MilestoneKind } from "../../api/types";
import { Field } from "../../ui/Field";
import { milestoneName } from "../hear/milestoneName";
import { kindPlural } from "../library/kinds";
import { findMilestones } from "./orderForm";
import { looks } from "../../ui/looks";

const kinds: MilestoneKind[] = ["LINE", "TECHNIQUE_CHECK", "PLAYING_TEST", "WRITTEN_CHECK", "BELT"];

interface Props {
  library: LibraryView;
  chosen: string[];
  onChange: (ids: string[]) => void;
}

/** Lines, checks, tests and belts, found by number or name; several may be ordered at once. */
export function MilestonePicker({ library, chosen, onChange }: Props) {
  const [sought, setSought] = useState("");
  const found = findMilestones(library, sought);
  const belts = new Map(library.belts.map((belt) => [belt.id, belt.ladder]));
  return (
    <fieldset>
      <legend className="sr-only">What to order</legend>
      <Field
        label="What"
        placeholder="Number or name, like 12 or hold"
        value={sought}
        autoFocus
        onChange={(event) => setSought(event.target.value)}
        onKeyDown={(event) => {
          const first = found[0];
          if (event.key === "Enter") {
            event.preventDefault();
            if (first && sought.trim() && !chosen.includes(first.id)) onChange([...chosen, first.id]);
            setSought("");
          }
        }}
      />
      {chosen.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-1.5" aria-label="Chosen">
          {library.milestones
            .filter((m) => chosen.includes(m.id))
            .map((m) => (
              <li key={m.id}>
                <button
                  type="button"
                  aria-label={`Let go of ${milestoneName(m)}`}
                  className="bg-neutral text-neutral-content flex items-center gap-2 rounded-full px-3 py-1"
                  onClick={() => onChange(chosen.filter((id) => id !== m.id))}
                >
                  {milestoneName(m)} <span aria-hidden>×</span>
                </button>
              </li>
            ))}
        </ul>
      )}
      <div
        className="hairline mt-2 h-[26vh] overflow-y-auto rounded-lg border-[1.5px] px-3 py-1.5"
        tabIndex={0}
        role="group"
        aria-label="Milestones"
      >
        {kinds.map((kind) => {
          const items = found.filter((m) => m.kind === kind);
          if (items.length === 0) return null;
          return (
            <div key={kind} role="group" aria-label={kindPlural[kind]}>
              <p className="small soft pt-1.5 pb-0.5">{kindPlural[kind]}</p>
              {items.map((m) => (
                <label
                  key={m.id}
                  className="hover:bg-base-200 flex items-center gap-2.5 rounded-md px-1 py-1"
                >
                  <input
                    type="checkbox"
                    className={looks.checkbox}
                    checked={chosen.includes(m.id)}
                    onChange={(event) =>
                      onChange(event.target.checked ? [...chosen, m.id] : chosen.filter((id) => id !== m.id))
                    }
                  />
                  <span>{milestoneName(m)}</span>
                  <span className="small soft ml-auto whitespace-nowrap">
                    {m.line && kind === "LINE"
                      ? `${m.line.book.split(", ").at(-1)} p. ${m.line.page}`
                      : kind === "BELT"
                        ? `${belts.get(m.id)} ladder`
                        : m.passRule}
                  </span>
                </label>
              ))}
            </div>
          );
        })}
        {found.length === 0 && <p className="soft py-3">Nothing on the shelves matches.</p>}
      </div>
    </fieldset>
  );
}
