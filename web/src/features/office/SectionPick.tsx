import { useQuery } from "@tanstack/react-query";
import type { ClassView, ScopeRequest } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { Tick } from "../../ui/Field";

const same = (a: ScopeRequest, b: ScopeRequest) =>
  a.classId === b.classId && a.instrument === b.instrument && (a.division ?? "") === (b.division ?? "");

/** The sections of every class, to be ticked. */
export function SectionPick({
  classes,
  chosen,
  onChoose,
}: {
  classes: readonly ClassView[];
  chosen: readonly ScopeRequest[];
  onChoose: (sections: ScopeRequest[]) => void;
}) {
  const instruments = useQuery(instrumentsQuery);
  const nameOf = (code: string) => instruments.data?.find((i) => i.code === code)?.name ?? code;
  return (
    <fieldset className="hairline max-h-64 overflow-y-auto rounded-lg border-[1.5px] px-3 py-2">
      <legend className="font-semibold">Own sections</legend>
      {classes.every((one) => one.sections.length === 0) && (
        <p className="soft">Nobody is seated yet; bring the roster in first.</p>
      )}
      {classes
        .filter((one) => one.sections.length > 0)
        .map((one) => (
          <div key={one.id} className="mb-2">
            <p className="small soft">{one.name}</p>
            {one.sections.map((section) => {
              const scope: ScopeRequest = {
                classId: one.id,
                instrument: section.instrument,
                ...(section.division ? { division: section.division } : {}),
              };
              const ticked = chosen.some((other) => same(other, scope));
              return (
                <Tick
                  key={section.instrument + section.division}
                  label={`${nameOf(section.instrument)} ${section.division}`.trim()}
                  checked={ticked}
                  onChange={() =>
                    onChoose(ticked ? chosen.filter((other) => !same(other, scope)) : [...chosen, scope])
                  }
                />
              );
            })}
          </div>
        ))}
    </fieldset>
  );
}
