import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { classesQuery, instrumentsQuery } from "../../app/queries";
import { SelectField } from "../../ui/Field";
import { Failed, Skeleton } from "../../ui/parts";
import { partsQuery } from "./ensemble.queries";
import { LinesPicked } from "./LinesPicked";
import { PartsTable } from "./PartsTable";

/** Which part of a piece asks whom least; the director decides. */
export function ProposedParts({ ensembleId }: { ensembleId: string }) {
  const classes = useQuery(classesQuery);
  const all = useQuery(instrumentsQuery);
  const sections = classes.data?.find((one) => one.id === ensembleId)?.sections ?? [];
  const seated = new Set(sections.filter((one) => one.students > 0).map((one) => one.instrument));
  const instruments = all.data?.filter((one) => seated.has(one.code)) ?? [];
  const [chosen, setChosen] = useState("");
  const [lines, setLines] = useState<string[]>([]);
  const instrument = chosen || (instruments[0]?.code ?? "");
  const parts = useQuery(partsQuery(ensembleId, instrument, lines));
  return (
    <>
      <div className="mb-4 flex flex-wrap items-start gap-4">
        <div className="w-56">
          <SelectField
            label="Section"
            small
            value={instrument}
            onChange={(event) => setChosen(event.target.value)}
          >
            {instruments.map((one) => (
              <option key={one.code} value={one.code}>
                {one.name}
              </option>
            ))}
          </SelectField>
        </div>
        <LinesPicked label="Parts, from the first" picked={lines} most={6} onChange={setLines} />
      </div>
      {lines.length === 0 && (
        <p className="soft">
          Pick the parts, lines of the library or pieces brought in as files: each player&rsquo;s passed notes
          and speed are held against them.
        </p>
      )}
      {parts.isLoading && <Skeleton rows={4} />}
      {parts.isError && <Failed error={parts.error} />}
      {parts.data && lines.length > 0 && (
        <>
          <PartsTable
            key={`${instrument} ${lines.join()}`}
            classId={ensembleId}
            instrument={instrument}
            proposed={parts.data}
          />
          {parts.data.unread.length > 0 && (
            <p className="soft mt-3">Of some parts only facts are kept; they were left out.</p>
          )}
        </>
      )}
    </>
  );
}
