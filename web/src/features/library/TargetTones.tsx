import { Square, Volume2 } from "lucide-react";
import { useEffect, useState } from "react";
import type { Tone } from "../../api/types";
import { Button } from "../../ui/parts";
import { playTone, stopTone } from "../../ui/tone";
import { looks } from "../../ui/looks";

const SECONDS = 4;

/** A tone to compare a first sound with, for the section chosen or an instrument to choose. */
export function TargetTones({ tones, instrument }: { tones: Tone[]; instrument?: string }) {
  const [playing, setPlaying] = useState(false);
  const [chosen, setChosen] = useState<string>();
  useEffect(() => stopTone, []);
  const tone = tones.find((one) => one.instrument === (chosen ?? instrument)) ?? tones[0];
  if (!tone) return null;
  return (
    <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Target tone">
      <Button
        small
        aria-pressed={playing}
        onClick={() => {
          if (playing) return stopTone();
          playTone(tone.hertz, SECONDS, () => setPlaying(false));
          setPlaying(true);
        }}
      >
        {playing ? <Square size={15} aria-hidden /> : <Volume2 size={16} aria-hidden />}
        Target tone {tone.pitch}
      </Button>
      {tones.length > 1 ? (
        <select
          aria-label="Instrument of the target tone"
          className={`${looks.smallSelect} w-48 text-[0.95rem]`}
          value={tone.instrument}
          onChange={(event) => {
            stopTone();
            setChosen(event.target.value);
          }}
        >
          {tones.map((one) => (
            <option key={one.instrument} value={one.instrument}>
              {one.instrumentName}
            </option>
          ))}
        </select>
      ) : (
        <span className="small soft">as it sounds on the {tone.instrumentName.toLowerCase()}</span>
      )}
    </div>
  );
}
