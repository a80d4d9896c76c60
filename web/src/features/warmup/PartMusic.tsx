import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { WarmUpPart } from "../../api/types";
import { instrumentsQuery, railQuery } from "../../app/queries";
import { useScope } from "../../app/scope";
import { Failed, Skeleton } from "../../ui/parts";
import { KeyStrip } from "../line/KeyStrip";
import { readersIn, readingOf } from "../line/line";
import { PlayBar } from "../line/PlayBar";
import { writtenPartQuery } from "./warmUp.queries";
import { Notation } from "../line/Notation";

/** Parts that stand in one key for everybody; slurs go through many. */
const inKey = new Set<WarmUpPart["kind"]>(["ARTICULATION", "SCALE", "LONG_TONES"]);

interface Props {
  classId: string;
  week?: string;
  part: WarmUpPart;
  instrument?: string;
}

/** A part written out for the section chosen, with count-in and click. */
export function PartMusic({ classId, week, part, instrument }: Props) {
  const { scope } = useScope();
  const rail = useQuery(railQuery(scope.classId));
  const instruments = useQuery(instrumentsQuery);
  const written = useQuery(writtenPartQuery({ classId, week, part, instrument }));
  const [place, setPlace] = useState(-1);
  if (written.isError) return <Failed error={written.error} />;
  if (!written.data) return <Skeleton rows={6} />;
  const { analysis, musicXml } = written.data;
  const reading = readingOf(analysis, instrument);
  const name = instruments.data?.find((i) => i.code === instrument)?.name ?? "concert pitch";
  return (
    <section aria-label={`${part.title}, written out`} className="grid gap-4">
      {inKey.has(part.kind) && (
        <KeyStrip readers={readersIn(analysis, rail.data?.sections ?? [])} concertKey={part.key} />
      )}
      {!instrument && (
        <p className="soft">
          Choose a section to see its own notes; here they stand at concert pitch for the first section.
        </p>
      )}
      <Notation
        musicXml={musicXml}
        label={`${part.title} for ${name}`}
        brackets={[]}
        sounding={analysis.order[place]?.index}
      />
      <PlayBar
        key={part.kind + part.key + (instrument ?? "")}
        analysis={analysis}
        reading={reading && { ...reading, hotSpots: [] }}
        onPlace={setPlace}
      />
    </section>
  );
}
