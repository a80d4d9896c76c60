import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { Trial } from "../../api/types";
import { InstrumentSelect } from "../../app/InstrumentSelect";
import { Field, SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { aspects, mouthpieces, type Aspect } from "./placingWords";
import { useKept } from "./useKept";

/** How an instrument went with a student today. */
export function TrialForm({ studentId }: { studentId: string }) {
  const [instrument, setInstrument] = useState("");
  const [mouthpiece, setMouthpiece] = useState<Trial["mouthpiece"]>("ALONE");
  const [seen, setSeen] = useState<Trial["seen"]>({});
  const [arm, setArm] = useState("");
  const [note, setNote] = useState("");
  const [id, setId] = useState(() => newId());
  const kept = useKept(studentId, "Kept");
  const save = useMutation({
    mutationFn: () =>
      post<void>(at("/api/students/{studentId}/placing/trials", { studentId }), {
        id,
        instrument,
        mouthpiece,
        seen,
        armCm: arm === "" ? undefined : Number(arm),
        note,
      }),
    onSuccess: async () => {
      setSeen({});
      setNote("");
      setArm("");
      setId(newId());
      await kept();
    },
  });
  return (
    <form
      aria-labelledby="trial"
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <h2 id="trial" className="text-[1.2rem]">
        A trial
      </h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <InstrumentSelect label="Instrument" value={instrument} onChange={setInstrument} />
        <SelectField
          label="Tried"
          small
          value={mouthpiece}
          onChange={(event) => setMouthpiece(event.target.value as Trial["mouthpiece"])}
        >
          {Object.entries(mouthpieces).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </SelectField>
      </div>
      {aspects.map((one) => (
        <Marks
          key={one.aspect}
          words={one}
          value={seen[one.aspect]}
          onChange={(value) => setSeen({ ...seen, [one.aspect]: value })}
        />
      ))}
      <div className="grid gap-3 sm:grid-cols-[8rem_1fr]">
        <Field
          label="Arm, cm"
          small
          type="number"
          min={30}
          max={90}
          step="0.5"
          placeholder="neck to palm"
          value={arm}
          onChange={(event) => setArm(event.target.value)}
        />
        <Field
          label="Note"
          small
          maxLength={300}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      </div>
      <p className="small soft">
        Shared mouthpieces and head joints are disinfected between players; follow school and local health
        rules. Stop where it hurts.
      </p>
      <div className="flex items-center gap-3">
        <Button look="primary" type="submit" disabled={instrument === "" || save.isPending}>
          Keep this trial
        </Button>
        {save.isError && (
          <p role="alert" className="text-error font-semibold">
            {save.error.message}
          </p>
        )}
      </div>
    </form>
  );
}

interface MarksProps {
  words: { aspect: Aspect; name: string; least: string; most: string };
  value?: number;
  onChange: (value: number | undefined) => void;
}

/** One to four; pressed again it was not looked at. */
function Marks({ words, value, onChange }: MarksProps) {
  return (
    <fieldset className="flex flex-wrap items-center gap-2">
      <legend className="sr-only">{words.name}</legend>
      <span className="w-20 font-semibold" aria-hidden>
        {words.name}
      </span>
      {[1, 2, 3, 4].map((mark) => (
        <button
          key={mark}
          type="button"
          aria-pressed={value === mark}
          aria-label={`${words.name} ${mark}`}
          onClick={() => onChange(value === mark ? undefined : mark)}
          className={`h-10 w-10 rounded-lg border-[1.5px] font-semibold ${value === mark ? "bg-neutral text-neutral-content border-neutral" : "hairline"}`}
        >
          {mark}
        </button>
      ))}
      <span className="small soft">
        1 {words.least}, 4 {words.most}
      </span>
    </fieldset>
  );
}
