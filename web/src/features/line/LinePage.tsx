import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import type { LineNotes, Milestone } from "../../api/types";
import { query } from "../../api/http";
import { instrumentsQuery, libraryQuery, railQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Failed, Heading, Skeleton } from "../../ui/parts";
import { booksQuery } from "../library/books.queries";
import { Brief } from "./Brief";
import { DemandTable } from "./DemandTable";
import { FactsOnly } from "./FactsOnly";
import { FingerRows } from "./FingerRows";
import { KeyStrip } from "./KeyStrip";
import { LeftOut } from "./LeftOut";
import { BesideParts } from "./BesideParts";
import { bracketsOf, lasting, looksOf, readersIn, readingOf, type Under } from "./line";
import { lineNotesQuery } from "./line.queries";
import { PlayBar } from "./PlayBar";
import { PracticeLadder } from "./PracticeLadder";
import { LookPicker, type Look } from "./LookPicker";
import { RoadmapRibbon } from "./RoadmapRibbon";
import { TrapList } from "./TrapList";
import { TypeLine } from "./TypeLine";
import { useAfterFrame } from "./useAfterFrame";
import { Notation } from "./Notation";

/** One line: as the section chosen reads it, the way through it, what misleads, what it asks, and how it sounds. */
export function LinePage({ director }: { director: boolean }) {
  const { lineId = "" } = useParams();
  const { scope, search } = useScope();
  const [chosen, setLook] = useState<Look>();
  const bowed = chosen === "BOWING";
  const notes = useQuery({
    ...lineNotesQuery(lineId, scope.instrument, scope.classId, { division: scope.division, bowed }),
    // Only the bows come or go: the page stays as it is until they are there.
    placeholderData: (before, query) =>
      query?.queryKey[2] === lineId && query.queryKey[3] === scope.instrument ? before : undefined,
  });
  // The notes come first: the shelf is asked for when they are there, its books only where there are none.
  const library = useQuery({ ...libraryQuery, enabled: notes.isFetched });
  const books = useQuery({ ...booksQuery, enabled: notes.data === null });
  const [typing, setTyping] = useState(false);
  const line = library.data?.milestones.find((m) => m.id === lineId);
  // Of some books facts alone are kept; the server refuses the notes of their lines.
  const mayType = notes.data || books.data?.find((book) => book.id === line?.line?.bookId)?.notesKept;
  if (notes.isError) return <Failed error={notes.error} again={() => void notes.refetch()} />;
  if (notes.isPending) return <Skeleton rows={9} />;
  const kept = scopeSearch(search, {});
  return (
    <>
      <Heading
        title={line ? `${line.shortName}  ${line.title}` : (notes.data?.analysis.title ?? "Line")}
        words={line?.line && facts(line)}
      >
        {director && (
          <Link
            className="btn btn-outline hairline h-9 min-h-0"
            to={{ pathname: `/library/lines/${lineId}/edit`, search: kept }}
          >
            Facts
          </Link>
        )}
        {director && mayType && (
          <button
            type="button"
            className="btn btn-outline hairline h-9 min-h-0"
            onClick={() => setTyping(!typing)}
          >
            {typing ? "Back to the line" : notes.data ? "Type it anew" : "Type its notes"}
          </button>
        )}
        {notes.data && (
          <a className="btn btn-outline hairline h-9 min-h-0" href={`/api/lines/${lineId}/line.mid`}>
            MIDI
          </a>
        )}
        {notes.data && (
          <a
            className="btn btn-outline hairline h-9 min-h-0"
            href={`/api/lines/${lineId}/line.musicxml${query({ instrument: scope.instrument, classId: scope.classId, division: scope.division })}`}
          >
            MusicXML
          </a>
        )}
        <Link className="btn btn-primary h-9 min-h-0" to={{ pathname: `/hear/${lineId}`, search: kept }}>
          Hear it
        </Link>
      </Heading>
      {typing && <TypeLine lineId={lineId} abc={notes.data?.abc ?? ""} onKept={() => setTyping(false)} />}
      {!typing && !notes.data && <FactsOnly lineId={lineId} director={director} />}
      {!typing && notes.data && (
        <Reading lineId={lineId} notes={notes.data} director={director} chosen={chosen} onLook={setLook} />
      )}
    </>
  );
}

const facts = (line: Milestone) =>
  line.line &&
  `${line.line.book}, page ${line.line.page} · concert ${line.line.concertKey} · ${line.line.meter}`;

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

function Reading({ lineId, notes, director, chosen, onLook }: ReadingProps) {
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
