import { at } from "../../api/at";
import { zodResolver } from "@hookform/resolvers/zod";
import { queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useForm } from "react-hook-form";
import { z } from "zod";
import { get, post, Problem } from "../../api/http";
import type { NewPerson, Person } from "../../api/types";
import { Field, SelectField } from "../../ui/Field";
import { Button, Failed, Skeleton } from "../../ui/parts";
import { PersonRow } from "./PersonRow";
import { useToast } from "../../ui/toasts";

const peopleQuery = queryOptions({ queryKey: ["people"], queryFn: () => get<Person[]>(at("/api/people")) });

const schema = z.object({
  displayName: z.string().trim().min(1, "A person needs a name to show."),
  signInName: z.string().trim().min(1, "A person needs a sign-in name."),
  role: z.enum(["ASSISTANT", "DIRECTOR"]),
  password: z.string().min(1, "Give a first password."),
});

export function PeoplePart() {
  const client = useQueryClient();
  const toast = useToast();
  const people = useQuery(peopleQuery);
  const { register, handleSubmit, formState, reset, setError } = useForm<NewPerson>({
    resolver: zodResolver(schema),
    defaultValues: { displayName: "", signInName: "", role: "ASSISTANT", password: "" },
  });
  const add = useMutation({
    mutationFn: (values: NewPerson) => post<Person>(at("/api/people"), values),
    onSuccess: (added) => {
      toast(`${added.displayName} can sign in now`);
      reset();
      return client.invalidateQueries({ queryKey: ["people"] });
    },
    onError: (error) => {
      if (error instanceof Problem && (error.field === "signInName" || error.field === "password"))
        setError(error.field, { message: error.message });
    },
  });
  const errors = formState.errors;
  return (
    <div className="grid items-start gap-x-10 gap-y-8 xl:grid-cols-[1fr_22rem]">
      <section aria-label="People">
        {people.isLoading && <Skeleton rows={3} />}
        {people.isError && <Failed error={people.error} />}
        <ul>
          {people.data?.map((person) => (
            <PersonRow key={person.id} person={person} />
          ))}
        </ul>
        <p className="small soft mt-3 max-w-[60ch]">
          Directors order, import and change everything. Assistants look at everything and hear students.
          Students' records are seen by these people only; follow your school's policy on who should.
        </p>
      </section>
      <form
        noValidate
        className="grid gap-3"
        onSubmit={handleSubmit((values) => add.mutate(values))}
        aria-label="Add a person"
      >
        <h2 className="text-[1.3rem]">Let somebody sign in</h2>
        <Field label="Name" error={errors.displayName?.message} {...register("displayName")} />
        <Field
          label="Sign-in name"
          autoCapitalize="none"
          error={errors.signInName?.message}
          {...register("signInName")}
        />
        <SelectField label="As" {...register("role")}>
          <option value="ASSISTANT">Assistant</option>
          <option value="DIRECTOR">Director</option>
        </SelectField>
        <Field
          label="First password"
          type="password"
          autoComplete="new-password"
          error={errors.password?.message}
          {...register("password")}
        />
        {add.isError && !errors.signInName && !errors.password && (
          <p role="alert" className="text-error">
            {add.error.message}
          </p>
        )}
        <Button look="primary" type="submit" disabled={add.isPending}>
          Add
        </Button>
      </form>
    </div>
  );
}
