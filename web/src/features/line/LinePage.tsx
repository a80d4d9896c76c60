import { at } from "../../api/at";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import type { Milestone } from "../../api/types";

import { libraryQuery } from "../../app/queries";
import { useReset } from "../../app/useReset";
import { scopeSearch, useScope } from "../../app/scope";
import { Failed, Heading, Skeleton } from "../../ui/parts";
import { booksQuery } from "../library/books.queries";
import { FactsOnly } from "./FactsOnly";
import { lineNotesQuery } from "./line.queries";
import type { Look } from "./LookPicker";
import { LineReading } from "./LineReading";
import { TypeLine } from "./TypeLine";
import { looks } from "../../ui/looks";

/** One line: as the section chosen reads it, the way through it, what misleads, what it asks, and how it sounds. */
export function LinePage({ director }: { director: boolean }) {
  const { lineId = "" } = useParams();
  const { scope, search } = useScope();
  const reset = useReset();
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
      {reset.exercise}
      <Heading
        title={line ? `${line.shortName}  ${line.title}` : (notes.data?.analysis.title ?? "Line")}
        words={line?.line && facts(line)}
      >
        {director && (
          <Link
            className={`${looks.button} h-9 min-h-0`}
            to={{ pathname: `/library/lines/${lineId}/edit`, search: kept }}
          >
            Facts
          </Link>
        )}
        {director && mayType && (
          <button type="button" className={`${looks.button} h-9 min-h-0`} onClick={() => setTyping(!typing)}>
            {typing ? "Back to the line" : notes.data ? "Type it anew" : "Type its notes"}
          </button>
        )}
        {notes.data && (
          <a className={`${looks.button} h-9 min-h-0`} href={at("/api/lines/{lineId}/line.mid", { lineId })}>
            MIDI
          </a>
        )}
        {notes.data && (
          <a
            className={`${looks.button} h-9 min-h-0`}
            href={at(
              "/api/lines/{lineId}/line.musicxml",
              { lineId },
              { instrument: scope.instrument, classId: scope.classId, division: scope.division },
            )}
          >
            MusicXML
          </a>
        )}
        <Link className={`${looks.primary} h-9 min-h-0`} to={{ pathname: `/hear/${lineId}`, search: kept }}>
          Hear it
        </Link>
      </Heading>
      {typing && <TypeLine lineId={lineId} abc={notes.data?.abc ?? ""} onKept={() => setTyping(false)} />}
      {!typing && !notes.data && <FactsOnly lineId={lineId} director={director} />}
      {!typing && notes.data && (
        <LineReading
          lineId={lineId}
          notes={notes.data}
          director={director}
          chosen={chosen}
          onLook={setLook}
        />
      )}
    </>
  );
}

const facts = (line: Milestone) =>
  line.line &&
  `${line.line.book}, page ${line.line.page} · concert ${line.line.concertKey} · ${line.line.meter}`;
