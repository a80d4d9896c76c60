import clsx from "clsx";
import type { Problem } from "../../api/http";
import { Field, SelectField } from "../../ui/Field";
import { keyNames, signNames, valueNames, type LineForm } from "./lineForm";

interface Props {
  form: LineForm;
  onForm: (form: LineForm) => void;
  wrong?: Problem;
}

/** What is known of a line without its notes. */
export function LineFields({ form, onForm, wrong }: Props) {
  const field = (name: keyof LineForm, label: string, more: object = {}) => (
    <Field
      label={label}
      value={form[name] as string}
      error={wrong?.field === name ? wrong.message : undefined}
      onChange={(event) => onForm({ ...form, [name]: event.target.value })}
      {...more}
    />
  );
  const toggle = (name: "valuesIntroduced" | "signsIntroduced", one: string) => {
    const list = form[name];
    onForm({ ...form, [name]: list.includes(one) ? list.filter((x) => x !== one) : [...list, one] });
  };
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-2">
      <div className="grid content-start gap-4">
        <div className="grid items-start gap-4 sm:grid-cols-[6rem_6rem_1fr]">
          {field("page", "Page", { inputMode: "numeric" })}
          {field("number", "Number", { inputMode: "numeric" })}
          {field("title", "Title", { maxLength: 90 })}
        </div>
        <div className="grid items-start gap-4 sm:grid-cols-[1fr_6rem_8rem]">
          <SelectField
            label="Concert key"
            value={form.concertKey}
            error={wrong?.field === "concertKey" ? wrong.message : undefined}
            onChange={(event) => onForm({ ...form, concertKey: event.target.value })}
          >
            {[...new Set([form.concertKey, ...keyNames])].map((key) => (
              <option key={key}>{key}</option>
            ))}
          </SelectField>
          {field("meter", "Meter")}
          {field("tempoBpm", "Tempo goal", { inputMode: "numeric", hint: "quarters a minute" })}
        </div>
        <div className="grid items-start gap-4 sm:grid-cols-2">
          {field("measures", "Measures printed", { inputMode: "numeric" })}
          {field("playedMeasures", "Measures played", {
            inputMode: "numeric",
            hint: "with repeats; empty when the same",
          })}
        </div>
        {field("roadmap", "The way through", { maxLength: 200, placeholder: "for example D.C. al Fine" })}
        {field("notesUsed", "Notes used, at concert pitch", { hint: "for example Bb3 C4 D4 Eb4" })}
      </div>
      <div className="grid content-start gap-4">
        <Choices
          name="Note values introduced"
          all={valueNames.map((v) => [v, v])}
          chosen={form.valuesIntroduced}
          onToggle={(one) => toggle("valuesIntroduced", one)}
        />
        <Choices
          name="Signs introduced"
          all={Object.entries(signNames)}
          chosen={form.signsIntroduced}
          onToggle={(one) => toggle("signsIntroduced", one)}
        />
        <p className="small soft">
          What goes wrong, and a tip for each section, is written on the line’s own page.
        </p>
      </div>
    </div>
  );
}

interface ChoicesProps {
  name: string;
  all: readonly (readonly [string, string])[];
  chosen: readonly string[];
  onToggle: (one: string) => void;
}

function Choices({ name, all, chosen, onToggle }: ChoicesProps) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{name}</legend>
      <div className="flex flex-wrap gap-1.5">
        {all.map(([key, label]) => (
          <button
            key={key}
            type="button"
            aria-pressed={chosen.includes(key)}
            onClick={() => onToggle(key)}
            className={clsx(
              "rounded-lg border-[1.5px] px-2.5 py-0.5 text-[0.95rem]",
              chosen.includes(key)
                ? "bg-neutral text-neutral-content border-neutral"
                : "hairline hover:bg-base-200",
            )}
          >
            {label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
