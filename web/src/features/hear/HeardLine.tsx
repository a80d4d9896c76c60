import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import type { Player } from "../../api/types";
import { bracketsOf, readingOf } from "../line/line";
import { lineNotesQuery } from "../line/line.queries";
import { Notation } from "../line/Notation";

interface Props {
  lineId: string;
  player: Player;
  /** Where much else stands on the desk. */
  low: boolean;
  /** Numbers of the measures that are played, where it is not the whole line. */
  played?: readonly number[];
  /** Numbers of the measures in which something was noted. */
  noted: ReadonlySet<number>;
  onMeasure: (number: number) => void;
}

/** The line as the student in front of you reads it, traps bracketed; nothing where only facts are kept. */
export function HeardLine({ lineId, player, low, played, noted, onMeasure }: Props) {
  const notes = useQuery(
    lineNotesQuery(lineId, player.instrument, player.classId, { division: player.division || undefined }),
  );
  const reading = notes.data ? readingOf(notes.data.analysis, player.instrument) : undefined;
  if (!notes.data || !reading) return null;
  const numbers = notes.data.analysis.measures.map(({ number }) => number);
  return (
    <div
      className={clsx(
        "hairline mb-3 overflow-y-auto rounded-[10px] border-[1.5px] px-2 pb-4",
        low ? "max-h-36 [@media(max-height:860px)]:max-h-[6.6rem]" : "max-h-60",
      )}
      tabIndex={0}
      role="region"
      aria-label="The line"
    >
      <Notation
        musicXml={notes.data.musicXml}
        label={`Notation for ${player.instrumentName}`}
        brackets={bracketsOf(reading).filter(
          (bracket) => !bracket.spot && (!played || played.includes(numbers[bracket.measure] ?? -1)),
        )}
        measures={numbers.map((number) => ({ number, marked: noted.has(number) }))}
        onMeasure={onMeasure}
      />
      {reading.traps.length > 0 && (
        <p className="small mt-5">
          {reading.traps.map((trap, i) => (
            <span key={i}>
              {i > 0 && " · "}
              <b>{i + 1}</b> {trap.sentence}
            </span>
          ))}
        </p>
      )}
    </div>
  );
}
