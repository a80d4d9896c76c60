import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import type { LineNotes } from "../../api/types";
import { instrumentsQuery, railQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { BesideParts } from "./BesideParts";
import { Brief } from "./Brief";
import { DemandTable } from "./DemandTable";
import { FingerRows } from "./FingerRows";
import { KeyStrip } from "./KeyStrip";
import { LeftOut } from "./LeftOut";
import { bracketsOf, lasting, looksOf, readersIn, readingOf, type Under } from "./line";
import { LookPicker, type Look } from "./LookPicker";
import { Notation } from "./Notation";
import { PlayBar } from "./PlayBar";
import { PracticeLadder } from "./PracticeLadder";
import { RoadmapRibbon } from "./RoadmapRibbon";
import { TrapList } from "./TrapList";
import { useAfterFrame } from "./useAfterFrame";

const underLooks: Partial<Record<Look, Under>> = {
  NAMES: "NAMES",
  BOTH: "FINGERS",
  SYLLABLES: "SYLLABLES",
};

interface ReadingProps {
  lineId: string;
  notes: LineNotes;
  director: boolean;
  chosen?: Look;
  onLook: (look: Look) => void;
}

/** A line as the section chosen reads it, and all that follows from it. */
export function LineReading({ lineId, notes, director, chosen, onLook }: ReadingProps) {
  const { scope, search } = useScope();
  const rail = useQuery({ ...railQuery(scope.classId), enabled: Boolean(scope.classId) });
  const instruments = useQuery(instrumentsQuery);
  const [place, setPlace] = useState(-1);
  // The notes first: what stands below them is drawn when they are seen.
  const rest = useAfterFrame();
  const { analysis, musicXml } = notes;
  const reading = readingOf(analysis, scope.instrument);
  const readers = readersIn(analysis, rail.data?.sections ?? []);
  const struck = reading?.pitched === false;
  // Drums are told the hand of every stroke from the beginning.
  const looks = looksOf(notes.fingers, struck);
  const usual = struck ? "BOTH" : notes.namesUnder ? "NAMES" : "STAFF";
  const look = chosen && looks.includes(chosen) ? chosen : usual;
  const name = instruments.data?.find((i) => i.code === scope.instrument)?.name ?? "concert pitch";
  return (
    <div className="grid gap-5">
      <KeyStrip readers={readers} concertKey={analysis.concertKey} />
      <Brief lineId={lineId} reading={reading} instrument={scope.instrument} director={director} />
      {notes.likeness.sentence && (
        <p>
          <b>Recall, do not start anew: </b>
          <Link to={{ pathname: `/library/lines/${notes.likeness.lineId}`, search: scopeSearch(search, {}) }}>
            {notes.likeness.sentence}
          </Link>
        </p>
      )}
      {notes.fingers.length > 0 && <LookPicker look={look} looks={looks} onLook={onLook} struck={struck} />}
      {look === "FINGERS" && notes.fingers.length > 0 ? (
        <FingerRows
          fingers={notes.fingers}
          analysis={analysis}
          sounding={analysis.order[place]?.index}
          label={`Fingers for ${name}`}
        />
      ) : (
        <Notation
          musicXml={musicXml}
          label={`Notation for ${name}`}
          brackets={bracketsOf(reading)}
          sounding={analysis.order[place]?.index}
          fingers={look in underLooks ? notes.fingers : undefined}
          under={underLooks[look]}
        />
      )}
      {rest && (
        <>
          <PlayBar analysis={analysis} reading={reading} onPlace={setPlace} />
          <LeftOut what={analysis.leftOut} />
          <BesideParts lineId={lineId} analysis={analysis} director={director} />
          {analysis.fault ? (
            <p role="alert" className="font-semibold">
              {analysis.fault}
            </p>
          ) : (
            <RoadmapRibbon
              analysis={analysis}
              place={place}
              words={`${analysis.totalBeats} beats, ${lasting(analysis.countedSeconds)}, ${lasting(analysis.countedSecondsWithCountIn)} with the count-in`}
            />
          )}
          <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
            <div className="grid content-start gap-5">
              <TrapList reading={reading} echoes={analysis.echoes} borrowed={notes.likeness.measures} />
              {scope.instrument && reading && !analysis.fault && (
                <PracticeLadder
                  key={scope.instrument}
                  lineId={lineId}
                  instrument={scope.instrument}
                  director={director}
                />
              )}
            </div>
            <DemandTable readers={readers} hardest={analysis.hardest} chosen={scope.instrument} />
          </div>
        </>
      )}
    </div>
  );
}
