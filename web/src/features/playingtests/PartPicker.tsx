import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { libraryQuery } from "../../app/queries";
import { Field } from "../../ui/Field";
import { milestoneName } from "../hear/milestoneName";
import { findMilestones } from "../season/orderForm";

const SHOWN = 6;

/** A line or a check found by number or name. */
export function PartPicker({ onPick }: { onPick: (milestoneId: string) => void }) {
  const library = useQuery(libraryQuery);
  const [sought, setSought] = useState("");
  const found = (library.data && sought.trim() ? findMilestones(library.data, sought) : []).filter(
    (milestone) => milestone.kind === "LINE" || milestone.kind === "TECHNIQUE_CHECK",
  );
  const pick = (id: string) => {
    onPick(id);
    setSought("");
  };
  return (
    <div>
      <Field
        label="A line or a check"
        placeholder="Number or name, like 12 or hold"
        value={sought}
        onChange={(event) => setSought(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "Enter") return;
          event.preventDefault();
          if (found[0]) pick(found[0].id);
        }}
      />
      {found.length > 0 && (
        <ul className="mt-1.5 flex flex-wrap gap-1.5" aria-label="Found">
          {found.slice(0, SHOWN).map((milestone) => (
            <li key={milestone.id}>
              <button
                type="button"
                className="hairline hover:bg-base-200 rounded-full border-[1.5px] px-3 py-0.5"
                onClick={() => pick(milestone.id)}
              >
                {milestoneName(milestone)}
                {milestone.line && (
                  <span className="small soft"> {milestone.line.book.split(", ").at(-1)}</span>
                )}
              </button>
            </li>
          ))}
        </ul>
      )}
      {sought.trim() && found.length === 0 && (
        <p className="small soft mt-1">Nothing on the shelves matches.</p>
      )}
    </div>
  );
}
