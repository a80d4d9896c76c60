import { useQuery } from "@tanstack/react-query";
import { Play, Square } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { LineAnalysis, SectionReading } from "../../api/types";
import { familyOf } from "../../app/queries";
import { Button } from "../../ui/parts";
import { useKeys } from "../../app/useKeys";
import { planOf } from "./playback";
import { play, type Playing } from "./player";
import { looks } from "../../ui/looks";

interface Props {
  analysis: LineAnalysis;
  /** Of the section whose part is played. */
  reading?: SectionReading;
  onPlace: (place: number) => void;
}

const pitches = {
  CONCERT: "at concert pitch",
  SECTION: "where this section sounds",
  WRITTEN: "as written here",
};

/** Plays the line as it sounds: count-in, metronome, pace, and a stretch again and again. */
export function PlayBar({ analysis, reading, onPlace }: Props) {
  const [pace, setPace] = useState(100);
  const [countIn, setCountIn] = useState(true);
  const [metronome, setMetronome] = useState(false);
  const [others, setOthers] = useState(false);
  const [pitch, setPitch] = useState<keyof typeof pitches>("CONCERT");
  const [again, setAgain] = useState(false);
  const [on, setOn] = useState(false);
  const last = Math.max(0, analysis.order.length - 1);
  const [stretch, setStretch] = useState<[number, number]>([0, last]);
  const family = useQuery(familyOf);
  const playing = useRef<Playing>(undefined);
  const wanted = useRef(false);
  const repeat = useRef(again);
  useEffect(() => {
    repeat.current = again;
  });
  useEffect(
    () => () => {
      wanted.current = false;
      playing.current?.stop();
    },
    [],
  );
  const [from, to] = [Math.min(stretch[0], last), Math.min(Math.max(...stretch), last)];
  const transpose =
    !reading || pitch === "CONCERT" ? 0 : pitch === "WRITTEN" ? reading.writtenAbove : reading.soundsAbove;
  const spots = (reading?.hotSpots ?? []).filter((spot) => spot.recalls === undefined).slice(0, 4);
  const loop = (measure: number) => {
    const place = analysis.order.findIndex((played) => played.index === measure);
    if (place >= 0) setStretch([place, place]);
    setAgain(true);
  };
  const start = () => {
    const plan = planOf(analysis, { pace: pace / 100, countIn, metronome, others, from, to, transpose });
    wanted.current = true;
    setOn(true);
    playing.current = play(
      plan,
      from,
      onPlace,
      () => {
        onPlace(-1);
        if (wanted.current && repeat.current) return start();
        wanted.current = false;
        setOn(false);
      },
      reading && family.data?.get(reading.instrument),
    );
  };
  const stop = () => {
    wanted.current = false;
    playing.current?.stop();
  };
  useKeys({ p: () => (on ? stop() : start()) });
  if (analysis.order.length === 0) return null;
  const measure = (which: 0 | 1) => (
    <select
      aria-label={which === 0 ? "From measure" : "To measure"}
      className={`${looks.smallSelect} w-20`}
      value={which === 0 ? from : to}
      onChange={(event) => {
        const next = Number(event.target.value);
        setStretch(which === 0 ? [next, Math.max(next, to)] : [Math.min(from, next), next]);
      }}
    >
      {analysis.order.map((played, i) => (
        <option key={i} value={i}>
          {played.number === 0 ? "up" : played.number}
          {played.pass > 1 ? ` (${played.pass})` : ""}
        </option>
      ))}
    </select>
  );
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2" role="group" aria-label="Play the line">
      <Button look="primary" onClick={on ? stop : start}>
        {on ? <Square size={16} aria-hidden /> : <Play size={16} aria-hidden />}
        {on ? "Stop" : "Play"}
      </Button>
      <label className="flex items-center gap-2">
        <span className="soft">♩ =</span>
        <b className="w-8 text-right">{Math.round((analysis.tempoBpm * pace) / 100)}</b>
        {analysis.tempo?.includes("–") && <span className="small soft">of {analysis.tempo}</span>}
        <input
          type="range"
          min={40}
          max={120}
          step={5}
          value={pace}
          aria-label="Pace in percent of the tempo"
          className={`${looks.range} w-36`}
          onChange={(event) => setPace(Number(event.target.value))}
        />
      </label>
      <span className="flex items-center gap-2">
        {measure(0)} <span className="soft">to</span> {measure(1)}
      </span>
      {reading && (
        <select
          aria-label="Pitch it plays at"
          className={`${looks.smallSelect} w-56 text-[0.95rem]`}
          value={pitch}
          onChange={(event) => setPitch(event.target.value as keyof typeof pitches)}
        >
          {Object.entries(pitches).map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      )}
      {(
        [
          ["Count in", countIn, setCountIn],
          ["Metronome", metronome, setMetronome],
          ["Again and again", again, setAgain],
          ...(analysis.beside.length > 0 ? ([["With the others", others, setOthers]] as const) : []),
        ] as const
      ).map(([name, value, set]) => (
        <label key={name} className="flex items-center gap-2">
          <input
            type="checkbox"
            className={looks.checkbox}
            checked={value}
            onChange={(event) => set(event.target.checked)}
          />
          {name}
        </label>
      ))}
      {spots.length > 0 && (
        <span className="flex items-center gap-1.5">
          <span className="soft">Loop</span>
          {spots.map((spot) => (
            <Button key={spot.measure} small onClick={() => loop(spot.measure)}>
              m. {spot.number}
            </Button>
          ))}
          {(from > 0 || to < last) && (
            <Button
              small
              onClick={() => {
                setStretch([0, last]);
                setAgain(false);
              }}
            >
              whole
            </Button>
          )}
        </span>
      )}
    </div>
  );
}
