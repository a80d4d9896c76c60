import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { ClassView, LibraryView } from "../../api/types";
import { libraryQuery } from "../../app/queries";
import { BeltStrip } from "../../ui/BeltStrip";
import { looks } from "../../ui/looks";
import { Button, Failed } from "../../ui/parts";
import { counted } from "../../ui/words";
import { nothing, useChoosing } from "./useChoosing";

/** Belt levels for the whole class: each with all that fills its slots, every section its own. */
export function ChooseBelts({ current }: { current: ClassView }) {
  const library = useQuery(libraryQuery);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const choosing = useChoosing(current.id, (added) =>
    added === 0
      ? "Everybody has these belts, or they are in the plan already"
      : `${counted(added, "thing")} added; propose a plan to give each its week`,
  );
  const belts = library.data?.belts.filter((belt) => asks(belt, current)) ?? [];
  const ladders = [...new Set(belts.map((belt) => belt.ladder))];
  if (belts.length === 0) return null;
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <form
      aria-labelledby="choose-belts"
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        choosing.mutate({ ...nothing, beltIds: [...chosen] }, { onSuccess: () => setChosen(new Set()) });
      }}
    >
      <h2 id="choose-belts" className="text-[1.3rem]">
        Belt levels
      </h2>
      <p className="small soft -mt-2">
        What fills a belt&rsquo;s slots comes with it, for each section its own, heard from each alone; the
        plan puts them in order before the belt.
      </p>
      {ladders.map((ladder) => (
        <fieldset key={ladder}>
          <legend className="small soft">{ladder}</legend>
          <ul className="grid gap-x-6 sm:grid-cols-2">
            {belts
              .filter((belt) => belt.ladder === ladder)
              .map((belt) => (
                <li key={belt.id}>
                  <label className="flex min-h-9 items-center gap-2.5">
                    <input
                      type="checkbox"
                      className={looks.checkbox}
                      checked={chosen.has(belt.id)}
                      onChange={() => toggle(belt.id)}
                    />
                    <BeltStrip belt={belt} width={84} decorative />
                    {belt.name}
                  </label>
                </li>
              ))}
          </ul>
        </fieldset>
      ))}
      {choosing.isError && <Failed error={choosing.error} />}
      <div>
        <Button look="primary" type="submit" disabled={chosen.size === 0 || choosing.isPending}>
          Put these belts into the plan
        </Button>
      </div>
    </form>
  );
}

/** Whether any slot of a belt is for an instrument of the class. */
function asks(belt: LibraryView["belts"][number], current: ClassView): boolean {
  return belt.slots.some((slot) =>
    current.sections.some((section) => slot.fillings[section.instrument] ?? slot.fillings["any"]),
  );
}
