import { at } from "../../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { post } from "../../api/http";
import type { LineAnalysis, MadeLine } from "../../api/types";
import { Button, Failed } from "../../ui/parts";

interface Props {
  lineId: string;
  analysis: LineAnalysis;
  director: boolean;
}

/** What sounds beside the part shown: other sections' own parts, and strain by strain what lies below. */
export function BesideParts({ lineId, analysis, director }: Props) {
  const own = analysis.beside.filter((part) => part.use !== "everybody" && part.use !== "under");
  return (
    <>
      {analysis.under && (
        <section aria-label="What sounds under you">
          <h2 className="mb-1 text-lg">What sounds under you</h2>
          <ul>
            {analysis.under.strains.map((strain) => (
              <li key={strain.from}>{strain.sentence}</li>
            ))}
            {analysis.under.toldApart.map((sentence) => (
              <li key={sentence} className="font-semibold">
                {sentence}
              </li>
            ))}
          </ul>
        </section>
      )}
      {own.length > 0 && (
        <section aria-label="Parts of their own">
          <h2 className="mb-1 text-lg">Parts of their own here</h2>
          <ul className="flex flex-wrap gap-x-6 gap-y-1.5">
            {own.map((part) => (
              <OwnPart key={part.use} lineId={lineId} use={part.use} name={part.name} director={director} />
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function OwnPart({
  lineId,
  use,
  name,
  director,
}: {
  lineId: string;
  use: string;
  name: string;
  director: boolean;
}) {
  const client = useQueryClient();
  const [instrument, division = "0"] = use.split("/");
  const make = useMutation({
    mutationFn: () =>
      post<MadeLine>(
        at("/api/lines/{lineId}/parts/{instrument}/{division}/milestone", { lineId, instrument, division }),
        {},
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["library"], refetchType: "none" }),
  });
  return (
    <li className="flex items-center gap-3">
      <b>{name}</b>
      {director && !make.data && (
        <Button small disabled={make.isPending} onClick={() => make.mutate()}>
          Make it a line of its own
        </Button>
      )}
      {make.data && <Link to={`/library/lines/${make.data.lineId}`}>On the shelf as a line of its own</Link>}
      {make.isError && <Failed error={make.error} />}
    </li>
  );
}
