import { useQuery } from "@tanstack/react-query";
import { useForm, useWatch } from "react-hook-form";
import type { CautionView } from "../../api/types";
import { instrumentsQuery, libraryQuery } from "../../app/queries";
import { AreaField, Field, SelectField, Tick } from "../../ui/Field";
import { Button } from "../../ui/parts";
import type { CheckForm as Form } from "./checkForm";
import { CriteriaRows, FaultRows, StepRows, SyllableRows, ToneRows, VariantRows } from "./CheckFormRows";
import { Group, type Typed } from "./FormGroup";
import { topicNames, topics } from "./starterShelf";
import { looks } from "../../ui/looks";

interface Props {
  values: Form;
  cautions: CautionView[];
  milestoneId?: string;
  problem?: string;
  saving: boolean;
  onSave: (form: Form) => void;
  onBack: () => void;
}

/** Everything a check says, to be written or edited in the director's own words. */
export function CheckForm({ values, cautions, milestoneId, problem, saving, onSave, onBack }: Props) {
  const form = useForm<Form>({ defaultValues: values });
  const { register, setValue, control } = form;
  const instruments = useQuery(instrumentsQuery);
  const inferred = useWatch({ control, name: "inferred" });
  const chosen = useWatch({ control, name: "appliesTo" });
  const carried = useWatch({ control, name: "cautions" });
  const toggled = <T,>(list: T[], value: T) =>
    list.includes(value) ? list.filter((other) => other !== value) : [...list, value];
  return (
    <form
      className="grid gap-6"
      onSubmit={(event) => {
        event.preventDefault();
        onSave(form.getValues());
      }}
    >
      <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
        <div className="grid content-start gap-6">
          <div className="grid items-start gap-4 sm:grid-cols-[1fr_9rem]">
            <Field label="Title" maxLength={90} {...register("title")} />
            <Field label="Short name" maxLength={16} hint="a column's head" {...register("shortName")} />
          </div>
          <div className="grid items-end gap-4 sm:grid-cols-2">
            <SelectField label="About" {...register("topic")}>
              {topics.map((topic) => (
                <option key={topic} value={topic}>
                  {topicNames[topic]}
                </option>
              ))}
            </SelectField>
            <Tick label="Counts on every instrument a student plays" {...register("instrumentFree")} />
          </div>
          <Group name="For" hint={chosen.length === 0 ? "every instrument" : undefined}>
            <div className="flex flex-wrap gap-1.5">
              {instruments.data?.map((i) => (
                <button
                  key={i.code}
                  type="button"
                  aria-pressed={chosen.includes(i.code)}
                  onClick={() => setValue("appliesTo", toggled(chosen, i.code))}
                  className="hairline aria-pressed:bg-neutral aria-pressed:text-neutral-content aria-pressed:border-neutral rounded-full border-[1.5px] px-2.5 py-0.5 text-[0.9rem]"
                >
                  {i.name}
                </button>
              ))}
            </div>
          </Group>
          <StepRows form={form} />
          <AreaField
            label="Quick self-test"
            rows={2}
            maxLength={300}
            hint="what a student can try alone"
            {...register("selfTest")}
          />
          <AreaField
            label="Why"
            rows={2}
            maxLength={300}
            hint="one sentence, as students are told"
            {...register("why")}
          />
          <label className="grid gap-1">
            <span className="font-semibold">From where it is seen</span>
            <select className={`${looks.select} w-56`} {...register("seenFrom")}>
              <option value="FRONT">the front</option>
              <option value="SIDE">the side</option>
              <option value="ABOVE">above</option>
              <option value="NEAR">close by, at the stand</option>
              <option value="BY_EAR">by ear</option>
            </select>
          </label>
          <AreaField
            label="For whom it does not fit"
            rows={2}
            maxLength={300}
            hint="and what they do instead"
            {...register("notFor")}
          />
          <SyllableRows form={form} />
          <ToneRows form={form} instruments={instruments.data ?? []} />
        </div>
        <div className="grid content-start gap-6">
          <CriteriaRows form={form} />
          <FaultRows form={form} />
          <VariantRows form={form} />
          <Group name="Cautions, shown where the work is done">
            <div className="grid gap-1.5">
              {cautions.map((c) => (
                <Tick
                  key={c.caution}
                  label={c.sentence}
                  checked={carried.includes(c.caution)}
                  onChange={() => setValue("cautions", toggled(carried, c.caution))}
                />
              ))}
            </div>
          </Group>
          <Group name="Comes after">
            <Tick label="Told from what it is about" {...register("inferred")} />
            {!inferred && <AfterChoice form={form} milestoneId={milestoneId} />}
          </Group>
        </div>
      </div>
      <div className="bg-base-100 hairline sticky bottom-0 flex flex-wrap items-center gap-4 border-t-[1.5px] py-3">
        <p className="grow font-semibold" role={problem ? "alert" : undefined}>
          <span className="text-error">{problem}</span>
        </p>
        <Button look="quiet" onClick={onBack}>
          Leave without keeping
        </Button>
        <Button look="primary" type="submit" disabled={saving}>
          {saving ? "Keeping…" : "Keep this check"}
        </Button>
      </div>
    </form>
  );
}

function AfterChoice({ form, milestoneId }: { form: Typed; milestoneId?: string }) {
  const library = useQuery(libraryQuery);
  const after = useWatch({ control: form.control, name: "after" });
  const checks = library.data?.milestones.filter((m) => m.kind === "TECHNIQUE_CHECK" && m.id !== milestoneId);
  return (
    <div className="hairline mt-2 grid max-h-52 gap-1 overflow-y-auto rounded-lg border-[1.5px] p-3">
      {checks?.map((m) => (
        <Tick
          key={m.id}
          label={m.title}
          checked={after.includes(m.id)}
          onChange={() =>
            form.setValue(
              "after",
              after.includes(m.id) ? after.filter((id) => id !== m.id) : [...after, m.id],
            )
          }
        />
      ))}
    </div>
  );
}
