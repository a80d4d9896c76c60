import { useQuery } from "@tanstack/react-query";
import { Printer } from "lucide-react";
import { Link, useParams } from "react-router";
import { libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { Brief } from "./Brief";
import { bracketsOf, readingOf } from "./line";
import { keptLadderQuery, ladderQuery, lineNotesQuery } from "./line.queries";
import { LadderSteps } from "./LadderSteps";
import { TrapList } from "./TrapList";
import { Notation } from "./Notation";
import { looks } from "../../ui/looks";

const MINUTES = 8;

/** One sheet for a section: the line with fingerings, brief, traps and the ladder. */
export function RehearsalCardPage() {
  const { lineId = "" } = useParams();
  const { scope, search } = useScope();
  const instrument = scope.instrument ?? "";
  const library = useQuery(libraryQuery);
  const notes = useQuery(
    lineNotesQuery(lineId, scope.instrument, scope.classId, {
      division: scope.division,
      place: search.get("place") ?? undefined,
    }),
  );
  const kept = useQuery({
    ...keptLadderQuery(lineId, instrument, scope.classId),
    enabled: Boolean(instrument),
  });
  const proposed = useQuery({
    ...ladderQuery({
      lineId,
      instrument,
      classId: scope.classId,
      division: scope.division,
      minutes: MINUTES,
    }),
    enabled: Boolean(instrument) && kept.data === null,
  });
  const line = library.data?.milestones.find((m) => m.id === lineId);
  const failed = notes.error ?? kept.error ?? proposed.error;
  if (!instrument) return <Empty>Choose a section at the left for its rehearsal card.</Empty>;
  if (failed) return <Failed error={failed} />;
  if (notes.data === null)
    return <Empty>Only facts are kept of this line, so there is nothing to rehearse from.</Empty>;
  const ladder = kept.data ?? proposed.data;
  if (!notes.data || !line || !ladder) return <Skeleton rows={9} />;
  const reading = readingOf(notes.data.analysis, instrument);
  return (
    <>
      <Heading
        title={`${line.shortName}  ${line.title}`}
        words={`${reading?.name ?? ""} · reads ${reading?.writtenKey ?? ""} · ${notes.data.analysis.meter} · ♩ = ${notes.data.analysis.tempoBpm}`}
      >
        <Link
          className={`${looks.button} h-9 min-h-0`}
          to={{ pathname: `/library/lines/${lineId}`, search: scopeSearch(search, {}) }}
        >
          Back to the line
        </Link>
        <Button onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print
        </Button>
      </Heading>
      <div className="grid gap-5">
        <Notation
          musicXml={notes.data.musicXml}
          label={`Notation for ${reading?.name ?? "concert pitch"}`}
          brackets={bracketsOf(reading)}
          fingers={notes.data.fingers}
        />
        <Brief lineId={lineId} reading={reading} instrument={instrument} director={false} />
        <div className="grid gap-x-10 gap-y-5 lg:grid-cols-2 print:grid-cols-2">
          <section aria-label="Practice ladder">
            <h2 className="mb-1 text-lg">Ladder</h2>
            <LadderSteps ladder={ladder} />
          </section>
          <TrapList reading={reading} echoes={notes.data.analysis.echoes} />
        </div>
      </div>
    </>
  );
}
