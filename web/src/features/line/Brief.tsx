import { useQuery } from "@tanstack/react-query";
import { Pencil } from "lucide-react";
import { useState } from "react";
import type { SectionReading } from "../../api/types";
import { remarksFor, spansOf } from "./line";
import { remarksQuery } from "./line.queries";
import { RemarkForm } from "./RemarkForm";
import { looks } from "../../ui/looks";

interface Props {
  lineId: string;
  reading?: SectionReading;
  instrument?: string;
  director: boolean;
}

/** What a section is told before it plays: how it comes in, what is new, where it goes wrong. */
export function Brief({ lineId, reading, instrument, director }: Props) {
  const remarks = useQuery(remarksQuery(lineId));
  const [writing, setWriting] = useState(false);
  const said = remarksFor(remarks.data ?? [], instrument);
  if (!reading && said.length === 0 && !director) return null;
  return (
    <section
      aria-label="Brief"
      className="bg-base-200 grid gap-x-8 gap-y-1.5 rounded-lg px-4 py-3 lg:grid-cols-2"
    >
      <div className="grid content-start gap-1.5">
        {reading?.entry && (
          <p>
            Starts {reading.pitched ? "on" : "with the"} <b>{reading.entry.note}</b>
            {reading.entry.fingering && `, ${reading.entry.fingering}`}.{" "}
            <Count counted={reading.entry.counted} entersOn={reading.entry.entersOn} />
          </p>
        )}
        {reading?.moved.map((move) => (
          <p key={move.from}>{move.sentence}</p>
        ))}
        {reading && reading.breaths.length > 0 && (
          <p>
            <span className="soft">Breathe after m. </span>
            {spansOf(reading.breaths)}
          </p>
        )}
        {reading?.hands.map((hand) => (
          <p key={hand.sentence}>{hand.sentence}</p>
        ))}
        {reading && <Tendencies reading={reading} />}
        {!instrument && (
          <p className="soft">Choose a section to see how it comes in and what is new to it.</p>
        )}
      </div>
      <div className="grid content-start gap-1.5">
        {reading && <News reading={reading} />}
        {said.map((remark) => (
          <p key={remark.instrument}>
            {remark.instrument === "any" && <span className="soft">Everybody: </span>}
            {remark.trouble && (
              <>
                <b>Goes wrong: </b>
                {remark.trouble}
                {remark.tip && ". "}
              </>
            )}
            {remark.tip && (
              <>
                <b>Tip: </b>
                {remark.tip}
              </>
            )}
          </p>
        ))}
        {director && !writing && (
          <button
            type="button"
            className={`${looks.link} no-print justify-self-start`}
            onClick={() => setWriting(true)}
          >
            <Pencil size={14} aria-hidden className="mr-1 inline" />
            {said.length > 0 ? "Change what you say here" : "Say where it goes wrong, or a tip"}
          </button>
        )}
        {writing && (
          <RemarkForm
            lineId={lineId}
            instrument={instrument}
            name={reading?.name}
            remarks={remarks.data ?? []}
            onDone={() => setWriting(false)}
          />
        )}
      </div>
    </section>
  );
}

function Count({ counted, entersOn }: { counted: readonly string[]; entersOn: string }) {
  const shown = counted.slice(-8);
  return (
    <span>
      Count{" "}
      {shown.length < counted.length && (
        <span className="soft">{counted.length - shown.length} before, then </span>
      )}
      <span className="font-semibold">{shown.slice(0, -1).join(" ")}</span>{" "}
      <span className="font-semibold underline decoration-2 underline-offset-4">{shown.at(-1)}</span>
      <span className="soft"> (breathe)</span>, in on <b>{entersOn}</b>.
    </span>
  );
}

/** What needs a sentence stands on a line of its own, the rest in one. */
function News({ reading }: { reading: SectionReading }) {
  if (!reading.trackKnown) return null;
  if (reading.news.length === 0) return <p className="soft">Nothing new for this section.</p>;
  const plain = reading.news.filter((one) => !one.sentence);
  const told = reading.news.filter((one) => one.sentence);
  return (
    <div>
      <p>
        <span className="soft">New for this section: </span>
        {plain.map((one, i) => (
          <span key={i}>
            {i > 0 && " · "}
            <NewThing one={one} />
          </span>
        ))}
      </p>
      {told.length > 0 && (
        <ul className="small">
          {told.map((one, i) => (
            <li key={i}>
              <NewThing one={one} />
              <span className="soft">: </span>
              {one.sentence}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function NewThing({ one }: { one: SectionReading["news"][number] }) {
  return (
    <>
      {one.kind === "NOTE" ? <b>{one.words}</b> : one.words}
      <span className="soft"> m. {one.number}</span>
    </>
  );
}

/** What the instrument itself does to the pitch, so that nobody blames the student. */
function Tendencies({ reading }: { reading: SectionReading }) {
  const of = (tendency: "LOW" | "HIGH") =>
    reading.tendencies.filter((t) => t.tendency === tendency).map((t) => `${t.note} (${t.fingering})`);
  const said = [
    ["low", of("LOW")],
    ["high", of("HIGH")],
  ] as const;
  if (reading.tendencies.length === 0) return null;
  return (
    <p>
      <span className="soft">The instrument itself sounds </span>
      {said
        .filter(([, notes]) => notes.length > 0)
        .map(([word, notes]) => `${word} on ${notes.join(", ")}`)
        .join("; ")}
    </p>
  );
}
