import { at } from "../../api/at";
import { zodResolver } from "@hookform/resolvers/zod";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useForm } from "react-hook-form";
import { z } from "zod";
import { post, Problem } from "../../api/http";
import type { ClassView, NewClass } from "../../api/types";
import { classesQuery } from "../../app/queries";
import { Field, SelectField } from "../../ui/Field";
import { Button, Failed, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

const shapes: Record<NewClass["shape"], string> = {
  MIXED_BEGINNERS: "Mixed beginners",
  LIKE_INSTRUMENT: "Like instruments",
  FULL_ENSEMBLE: "Full ensemble",
};

const schema = z.object({
  name: z.string().trim().min(1, "A class needs a name."),
  campus: z.string().trim(),
  shape: z.enum(["MIXED_BEGINNERS", "LIKE_INSTRUMENT", "FULL_ENSEMBLE"]),
  rotation: z.string().trim().max(2, "A rotation letter is one or two letters."),
  period: z.coerce.number().int().min(0, "Periods go from 0 to 12.").max(12, "Periods go from 0 to 12."),
  startsAt: z.string().regex(/^\d{2}:\d{2}$/, "Say when the class starts."),
  minutes: z.coerce
    .number()
    .int()
    .min(5, "A class meets for 5 to 240 minutes.")
    .max(240, "A class meets for 5 to 240 minutes."),
});

export function ClassesPart() {
  const client = useQueryClient();
  const toast = useToast();
  const classes = useQuery(classesQuery);
  const { register, handleSubmit, formState, reset, setError } = useForm({
    resolver: zodResolver(schema),
    defaultValues: {
      name: "",
      campus: "",
      shape: "MIXED_BEGINNERS",
      rotation: "",
      period: 1,
      startsAt: "09:00",
      minutes: 45,
    },
  });
  const add = useMutation({
    mutationFn: (values: z.output<typeof schema>) =>
      post<ClassView>(at("/api/classes"), { ...values, rotation: values.rotation || undefined }),
    onSuccess: (added) => {
      toast(`${added.name} added`);
      reset();
      return client.invalidateQueries({ queryKey: ["roster"] });
    },
    onError: (error) => {
      if (error instanceof Problem && error.field === "name") setError("name", { message: error.message });
    },
  });
  const errors = formState.errors;
  return (
    <div className="grid items-start gap-x-10 gap-y-8 xl:grid-cols-[1fr_22rem]">
      <section aria-label="Classes">
        {classes.isLoading && <Skeleton />}
        {classes.isError && <Failed error={classes.error} />}
        <ul>
          {classes.data?.map((c) => (
            <li
              key={c.id}
              className="grid gap-x-5 border-b border-[var(--hairline)] py-2 sm:grid-cols-[1fr_1fr_auto]"
            >
              <b>{c.name}</b>
              <span className="soft">
                {[c.campus, shapes[c.shape].toLowerCase()].filter(Boolean).join(" · ")}
              </span>
              <span className="small soft">
                {c.rotation ? `${c.rotation}-days, ` : ""}period {c.period}, {c.startsAt}, {c.minutes} min ·{" "}
                {c.students} students
              </span>
            </li>
          ))}
        </ul>
      </section>
      <form
        noValidate
        className="grid gap-3"
        onSubmit={handleSubmit((values) => add.mutate(values))}
        aria-label="Add a class"
      >
        <h2 className="text-[1.3rem]">Add a class</h2>
        <Field label="Name" error={errors.name?.message} {...register("name")} />
        <Field label="Campus" error={errors.campus?.message} {...register("campus")} />
        <SelectField label="Made up of" {...register("shape")}>
          {Object.entries(shapes).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </SelectField>
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="Rotation letter"
            hint="blank: every day"
            error={errors.rotation?.message}
            {...register("rotation")}
          />
          <Field label="Period" type="number" error={errors.period?.message} {...register("period")} />
          <Field label="Starts at" type="time" error={errors.startsAt?.message} {...register("startsAt")} />
          <Field label="Minutes" type="number" error={errors.minutes?.message} {...register("minutes")} />
        </div>
        {add.isError && !errors.name && (
          <p role="alert" className="text-error">
            {add.error.message}
          </p>
        )}
        <Button look="primary" type="submit" disabled={add.isPending}>
          Add class
        </Button>
      </form>
    </div>
  );
}
