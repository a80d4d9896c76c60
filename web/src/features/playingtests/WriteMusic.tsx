import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post } from "../../api/http";
import { Cell } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Button, Failed } from "../../ui/parts";

const keys = ["C", "F", "B-flat", "E-flat", "A-flat", "D-flat", "G", "D", "A", "E"].flatMap((tonic) => [
  `${tonic} major`,
]);
const minors = ["A minor", "D minor", "G minor", "C minor", "E minor", "B minor"];
const meters = ["4/4", "3/4", "2/4", "6/8", "2/2"];

/** A scale or a rhythm written by the tool, which becomes a line that every section reads in its key. */
export function WriteMusic({ onWritten }: { onWritten: (lineId: string) => void }) {
  const client = useQueryClient();
  const [what, setWhat] = useState<"scale" | "rhythm">("scale");
  const [key, setKey] = useState("B-flat major");
  const [octaves, setOctaves] = useState(1);
  const [values, setValues] = useState("QUARTERS");
  const [meter, setMeter] = useState("4/4");
  const [measures, setMeasures] = useState("4");
  const [level, setLevel] = useState("DIVIDED");
  const [seed, setSeed] = useState("1");
  const [tempo, setTempo] = useState("80");
  const write = useMutation({
    mutationFn: () =>
      what === "scale"
        ? post<{ lineId: string }>(at("/api/lines/scales"), {
            key,
            octaves,
            values,
            tempoBpm: Number(tempo),
          })
        : post<{ lineId: string }>(at("/api/lines/rhythms"), {
            key,
            meter,
            measures: Number(measures),
            level,
            tempoBpm: Number(tempo),
            seed: Number(seed),
          }),
    onSuccess: async ({ lineId }) => {
      await client.invalidateQueries({ queryKey: ["library"], exact: true });
      onWritten(lineId);
    },
  });
  const select = `${looks.smallSelect} h-9 text-[0.95rem]`;
  return (
    <details>
      <summary className="cursor-pointer">Have a scale or a rhythm written</summary>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <select
          aria-label="What is written"
          className={select}
          value={what}
          onChange={(event) => setWhat(event.target.value as "scale" | "rhythm")}
        >
          <option value="scale">scale</option>
          <option value="rhythm">rhythm</option>
        </select>
        <select
          aria-label="Concert key"
          className={select}
          value={key}
          onChange={(event) => setKey(event.target.value)}
        >
          {[...keys, ...minors].map((one) => (
            <option key={one} value={one}>
              concert {one}
            </option>
          ))}
        </select>
        {what === "scale" ? (
          <>
            <select
              aria-label="Octaves"
              className={select}
              value={octaves}
              onChange={(event) => setOctaves(Number(event.target.value))}
            >
              <option value={1}>one octave</option>
              <option value={2}>two octaves</option>
            </select>
            <select
              aria-label="Values"
              className={select}
              value={values}
              onChange={(event) => setValues(event.target.value)}
            >
              <option value="QUARTERS">quarters</option>
              <option value="EIGHTHS">eighths</option>
            </select>
          </>
        ) : (
          <>
            <select
              aria-label="Meter"
              className={select}
              value={meter}
              onChange={(event) => setMeter(event.target.value)}
            >
              {meters.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
            <select
              aria-label="Level"
              className={select}
              value={level}
              onChange={(event) => setLevel(event.target.value)}
            >
              <option value="PULSES">whole pulses</option>
              <option value="DIVIDED">with eighths</option>
              <option value="SUBDIVIDED">with sixteenths and dots</option>
            </select>
            <Cell
              aria-label="Measures"
              className="!w-14 text-center"
              value={measures}
              onChange={(event) => setMeasures(event.target.value)}
            />
            measures, sheet
            <Cell
              aria-label="Sheet number"
              className="!w-16 text-center"
              value={seed}
              onChange={(event) => setSeed(event.target.value)}
            />
          </>
        )}
        <span aria-hidden>♩ =</span>
        <Cell
          aria-label="Tempo"
          className="!w-16 text-center"
          value={tempo}
          onChange={(event) => setTempo(event.target.value)}
        />
        <Button small onClick={() => write.mutate()} disabled={write.isPending}>
          Write it
        </Button>
      </div>
      {write.isError && <Failed error={write.error} />}
    </details>
  );
}
