import { Plus, X } from "lucide-react";
import type { ReactNode } from "react";
import { useFieldArray, useWatch } from "react-hook-form";
import type { Instrument } from "../../api/types";
import { Cell, SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { Group, type Typed } from "./FormGroup";
import { looks } from "../../ui/looks";

interface RowsProps {
  name: string;
  hint?: string;
  add: string;
  onAdd: () => void;
  children: ReactNode;
}

function Rows({ name, hint, add, onAdd, children }: RowsProps) {
  return (
    <Group name={name} hint={hint}>
      <ol className="grid gap-2">{children}</ol>
      <Button small look="quiet" className="mt-1.5" onClick={onAdd}>
        <Plus size={16} aria-hidden /> {add}
      </Button>
    </Group>
  );
}

function Away({ what, onPress }: { what: string; onPress: () => void }) {
  return (
    <button type="button" aria-label={`Take ${what} away`} className="soft px-1.5 py-1" onClick={onPress}>
      <X size={17} aria-hidden />
    </button>
  );
}

export function StepRows({ form }: { form: Typed }) {
  const rows = useFieldArray({ control: form.control, name: "steps" });
  return (
    <Rows
      name="Steps, in order"
      hint="your cue word is shown in place of a step"
      add="A step"
      onAdd={() => rows.append({ text: "", cue: "" })}
    >
      {rows.fields.map((field, i) => (
        <li key={field.id} className="grid grid-cols-[1.2rem_1fr_7.5rem_auto] items-center gap-2">
          <span className="soft text-right">{i + 1}</span>
          <Cell aria-label={`Step ${i + 1}`} maxLength={240} {...form.register(`steps.${i}.text`)} />
          <Cell
            aria-label={`Cue word for step ${i + 1}`}
            placeholder="cue word"
            maxLength={60}
            {...form.register(`steps.${i}.cue`)}
          />
          <Away what={`step ${i + 1}`} onPress={() => rows.remove(i)} />
        </li>
      ))}
    </Rows>
  );
}

export function CriteriaRows({ form }: { form: Typed }) {
  const rows = useFieldArray({ control: form.control, name: "criteria" });
  const rule = useWatch({ control: form.control, name: "rule" });
  const number = `${looks.smallInput} w-14 text-center`;
  return (
    <div className="grid gap-4">
      <Rows
        name="Seen or heard from the front of the room"
        add="A criterion"
        onAdd={() => rows.append({ name: "", mustSee: false })}
      >
        {rows.fields.map((field, i) => (
          <li key={field.id} className="grid grid-cols-[1.2rem_1fr_auto_auto] items-center gap-2">
            <span className="soft text-right">{i + 1}</span>
            <Cell
              aria-label={`Criterion ${i + 1}`}
              maxLength={120}
              {...form.register(`criteria.${i}.name`)}
            />
            {rule === "SCORE_AT_LEAST" ? (
              <label className="small flex items-center gap-1.5">
                <input
                  type="checkbox"
                  className={looks.checkbox}
                  {...form.register(`criteria.${i}.mustSee`)}
                />
                must be seen
              </label>
            ) : (
              <span />
            )}
            <Away what={`criterion ${i + 1}`} onPress={() => rows.remove(i)} />
          </li>
        ))}
      </Rows>
      <div className="flex flex-wrap items-end gap-3">
        <div className="min-w-64">
          <SelectField label="Passed by" {...form.register("rule")}>
            <option value="ALL_CRITERIA">every criterion seen in one try</option>
            <option value="SCORE_AT_LEAST">so many criteria seen in one try</option>
            <option value="K_OF_LAST_N">so many good tries of the last few</option>
            <option value="ONE_GOOD_TRY">one good try</option>
          </SelectField>
        </div>
        {rule === "K_OF_LAST_N" && (
          <p className="flex items-center gap-2 pb-1.5">
            <input type="number" aria-label="Good tries" className={number} {...form.register("k")} /> of the
            last
            <input type="number" aria-label="Tries counted" className={number} {...form.register("n")} />
          </p>
        )}
        {rule === "SCORE_AT_LEAST" && (
          <p className="flex items-center gap-2 pb-1.5">
            <input type="number" aria-label="Criteria seen" className={number} {...form.register("mark")} />{" "}
            of them
          </p>
        )}
      </div>
    </div>
  );
}

export function FaultRows({ form }: { form: Typed }) {
  const rows = useFieldArray({ control: form.control, name: "faults" });
  return (
    <Rows
      name="Usual faults, and what to try"
      hint="one thing to a line, in the order to try"
      add="A fault"
      onAdd={() => rows.append({ sign: "", remedies: "" })}
    >
      {rows.fields.map((field, i) => (
        <li key={field.id} className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)_auto] items-start gap-2">
          <Cell
            aria-label={`Sign of fault ${i + 1}`}
            placeholder="the sign"
            maxLength={120}
            {...form.register(`faults.${i}.sign`)}
          />
          <textarea
            aria-label={`What to try against fault ${i + 1}`}
            rows={4}
            className={`${looks.textarea} w-full py-1.5 text-[0.95rem] leading-snug`}
            {...form.register(`faults.${i}.remedies`)}
          />
          <Away what={`fault ${i + 1}`} onPress={() => rows.remove(i)} />
        </li>
      ))}
    </Rows>
  );
}

export function VariantRows({ form }: { form: Typed }) {
  const rows = useFieldArray({ control: form.control, name: "variants" });
  return (
    <Rows
      name="Variants for those who need one"
      add="A variant"
      onAdd={() => rows.append({ name: "", note: "", reviewWeeks: 8 })}
    >
      {rows.fields.map((field, i) => (
        <li
          key={field.id}
          className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)_auto_auto] items-center gap-2"
        >
          <Cell
            aria-label={`Name of variant ${i + 1}`}
            maxLength={60}
            {...form.register(`variants.${i}.name`)}
          />
          <Cell
            aria-label={`For whom is variant ${i + 1}`}
            placeholder="for whom, and why"
            maxLength={240}
            {...form.register(`variants.${i}.note`)}
          />
          <span className="small soft flex items-center gap-1.5">
            <input
              type="number"
              aria-label={`Weeks until variant ${i + 1} is reviewed`}
              className={`${looks.smallInput} w-14 text-center`}
              {...form.register(`variants.${i}.reviewWeeks`)}
            />
            weeks
          </span>
          <Away what={`variant ${i + 1}`} onPress={() => rows.remove(i)} />
        </li>
      ))}
    </Rows>
  );
}

export function SyllableRows({ form }: { form: Typed }) {
  const rows = useFieldArray({ control: form.control, name: "syllables" });
  return (
    <Rows
      name="Syllables by style of articulation"
      add="A syllable"
      onAdd={() => rows.append({ style: "", syllable: "" })}
    >
      {rows.fields.map((field, i) => (
        <li key={field.id} className="grid grid-cols-[1fr_8rem_auto] items-center gap-2">
          <Cell
            aria-label={`Style ${i + 1}`}
            placeholder="style"
            maxLength={40}
            {...form.register(`syllables.${i}.style`)}
          />
          <Cell
            aria-label={`Syllable ${i + 1}`}
            placeholder="syllable"
            maxLength={40}
            {...form.register(`syllables.${i}.syllable`)}
          />
          <Away what={`syllable ${i + 1}`} onPress={() => rows.remove(i)} />
        </li>
      ))}
    </Rows>
  );
}

export function ToneRows({ form, instruments }: { form: Typed; instruments: Instrument[] }) {
  const rows = useFieldArray({ control: form.control, name: "tones" });
  return (
    <Rows
      name="Target tones, as they sound"
      add="A target tone"
      onAdd={() => rows.append({ instrument: instruments[0]?.code ?? "", pitch: "" })}
    >
      {rows.fields.map((field, i) => (
        <li key={field.id} className="grid grid-cols-[1fr_6rem_auto] items-center gap-2">
          <select
            aria-label={`Instrument of target tone ${i + 1}`}
            className={`${looks.smallSelect} h-9 text-[0.95rem] w-full`}
            {...form.register(`tones.${i}.instrument`)}
          >
            {instruments.map((instrument) => (
              <option key={instrument.code} value={instrument.code}>
                {instrument.name}
              </option>
            ))}
          </select>
          <Cell
            aria-label={`Pitch of target tone ${i + 1}`}
            placeholder="Bb2"
            maxLength={12}
            {...form.register(`tones.${i}.pitch`)}
          />
          <Away what={`target tone ${i + 1}`} onPress={() => rows.remove(i)} />
        </li>
      ))}
    </Rows>
  );
}
