import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { longDay } from "../../app/days";
import { yearQuery } from "../../app/queries";
import { Field } from "../../ui/Field";
import { Failed, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { piecesQuery } from "./ensemble.queries";
import { LinesPicked } from "./LinesPicked";
import { PiecesTable } from "./PiecesTable";

/** Candidates for a concert: what each would still have to be taught, in notes and weeks. */
export function Pieces({ ensembleId }: { ensembleId: string }) {
  const year = useQuery(yearQuery);
  const [lines, setLines] = useState<string[]>([]);
  const [day, setDay] = useState<string>();
  const [aWeek, setAWeek] = useState(2);
  const next = year.data?.entries.find(
    (entry) => ["CONCERT", "FESTIVAL"].includes(entry.kind) && entry.first >= year.data.today,
  );
  const by = day ?? next?.first ?? year.data?.today ?? "";
  const pieces = useQuery(piecesQuery(ensembleId, lines, by, aWeek));
  return (
    <>
      <div className="mb-4 flex flex-wrap items-start gap-4">
        <LinesPicked label="Candidates" picked={lines} most={8} onChange={setLines} />
        <Field
          label={day === undefined && next ? `By, ${next.name}` : "By"}
          small
          type="date"
          min={year.data?.today}
          value={by}
          onChange={(event) => setDay(event.target.value)}
        />
        <div className="w-36">
          <Field
            label="New notes a week"
            small
            type="number"
            min={1}
            max={10}
            value={aWeek}
            onChange={(event) =>
              setAWeek(Math.min(10, Math.max(1, Math.trunc(event.target.valueAsNumber) || 1)))
            }
          />
        </div>
      </div>
      {lines.length === 0 && (
        <p className="soft">
          Pick candidates: lines of the library, or pieces brought in as MusicXML under Library.
        </p>
      )}
      {pieces.isLoading && <Skeleton rows={5} />}
      {pieces.isError && <Failed error={pieces.error} />}
      {pieces.data && lines.length > 0 && (
        <>
          <p className="mb-3">
            {counted(pieces.data.weeksLeft, "week")} of lessons until {longDay(pieces.data.by)}; the piece
            that leaves least to teach comes first.
          </p>
          <PiecesTable compared={pieces.data} />
        </>
      )}
    </>
  );
}
