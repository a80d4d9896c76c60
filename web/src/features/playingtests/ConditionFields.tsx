import type { TestDraft } from "../../api/types";
import { Cell, Field, SelectField, Tick } from "../../ui/Field";
import { numberOf } from "./testDraft";

type Conditions = TestDraft["conditions"];

interface Props {
  conditions: Conditions;
  onChange: (conditions: Conditions) => void;
}

const tones = ["Bb4", "F4", "Eb4", "C4", "A4", "D4", "G4"];
const toneName = (tone: string) => tone.replace(/\d/, "").replace("b", "-flat");

/** Under which conditions a test is played. */
export function ConditionFields({ conditions, onChange }: Props) {
  const put = (change: Partial<Conditions>) => onChange({ ...conditions, ...change });
  const own = conditions.pitchCheck && !tones.includes(conditions.pitchCheck) ? [conditions.pitchCheck] : [];
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold">Conditions</legend>
      <div className="grid items-start gap-x-4 gap-y-2.5 sm:grid-cols-2">
        <div>
          <span className="font-semibold">Tempo</span>
          <p className="mt-1 flex items-center gap-1.5">
            <span className="whitespace-nowrap">♩ =</span>
            <Cell
              aria-label="Tempo of the test"
              placeholder="as printed"
              inputMode="decimal"
              className="!w-24 text-center"
              value={conditions.tempoBpm ?? ""}
              onChange={(event) => put({ tempoBpm: numberOf(event.target.value) })}
            />
            within
            <Cell
              aria-label="Tolerance in percent"
              inputMode="numeric"
              className="!w-14 text-center"
              value={conditions.tolerancePercent}
              onChange={(event) => put({ tolerancePercent: numberOf(event.target.value) ?? 0 })}
            />
            %
          </p>
        </div>
        <SelectField
          label="Pitch check"
          small
          value={conditions.pitchCheck ?? ""}
          onChange={(event) => put({ pitchCheck: event.target.value || undefined })}
        >
          <option value="">none</option>
          {[...tones, ...own].map((tone) => (
            <option key={tone} value={tone}>
              concert {toneName(tone)}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Played"
          small
          value={conditions.accompaniment}
          onChange={(event) => put({ accompaniment: event.target.value as Conditions["accompaniment"] })}
        >
          <option value="ALONE">alone</option>
          <option value="METRONOME">alone with the metronome</option>
          <option value="FIXED_TRACK">with a fixed track</option>
          <option value="FOLLOWS">with an accompanist, who follows</option>
        </SelectField>
        <SelectField
          label="Count-in"
          small
          value={conditions.countInMeasures}
          onChange={(event) => put({ countInMeasures: Number(event.target.value) })}
        >
          <option value={0}>none</option>
          <option value={1}>one measure</option>
          <option value={2}>two measures</option>
        </SelectField>
        <SelectField
          label="A held note is ended by"
          small
          value={conditions.fermata}
          onChange={(event) => put({ fermata: event.target.value as Conditions["fermata"] })}
        >
          <option value="STUDENT">the student</option>
          <option value="DIRECTOR">the director</option>
          <option value="ACCOMPANIST">the accompanist</option>
        </SelectField>
        <div className="grid gap-1.5 pt-1">
          <Tick
            label="Every note its full value"
            checked={conditions.fullValues}
            onChange={(event) => put({ fullValues: event.target.checked })}
          />
          <Tick
            label="From memory"
            checked={conditions.memory}
            onChange={(event) => put({ memory: event.target.checked })}
          />
        </div>
      </div>
      <div className="mt-2">
        <Field
          label="In your own words besides"
          small
          maxLength={200}
          value={conditions.besides}
          onChange={(event) => put({ besides: event.target.value })}
        />
      </div>
    </fieldset>
  );
}
