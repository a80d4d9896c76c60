import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { v7 as newId } from "uuid";
import { post } from "../../api/http";
import type { ComputedFit, FitKind, NewFit } from "../../api/types";
import { longDay } from "../../app/days";
import { studentsQuery } from "../../app/queries";
import { useScope } from "../../app/scope";
import { Field, SelectField, Tick } from "../../ui/Field";
import { Button, Failed, Heading } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { RosterTabs } from "../roster/RosterTabs";
import { fitFor, fitKinds, fits, isMeasured, measuresTyped, type Typed } from "./fit";
import { computedQuery } from "./fit.queries";
import { FitPicture } from "./FitPicture";
import { KeptFits } from "./KeptFits";

/** Measure, see what it comes to, let the body confirm it, keep it with the student and a day to look again. */
export function FitPage() {
  const { scope } = useScope();
  const [search] = useSearchParams();
  const students = useQuery(studentsQuery);
  const seated = (students.data ?? []).filter((student) =>
    student.seats.some(
      (seat) =>
        (!scope.classId || seat.classId === scope.classId) &&
        (!scope.instrument || seat.instrument === scope.instrument),
    ),
  );
  const [studentChosen, setStudent] = useState(search.get("student") ?? "");
  const student = students.data?.find((s) => s.id === studentChosen);
  const [kindChosen, setKind] = useState<FitKind>();
  const kind = kindChosen ?? fitFor(scope.instrument ?? student?.seats[0]?.instrument);
  const [typed, setTyped] = useState<Typed>({});
  const measures = measuresTyped(kind, typed);
  const computed = useQuery(computedQuery(kind, measures, isMeasured(kind, measures)));
  return (
    <>
      <Heading title="Fit" words="Children's instruments must fit. A formula begins; the body decides.">
        <RosterTabs />
      </Heading>
      <div role="radiogroup" aria-label="What is fitted" className="mb-4 flex flex-wrap gap-2">
        {fitKinds.map((one) => (
          <button
            key={one}
            type="button"
            role="radio"
            aria-checked={kind === one}
            onClick={() => setKind(one)}
            className={clsx(
              "rounded-lg border-[1.5px] px-3 py-1.5",
              kind === one ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
            )}
          >
            {fits[one].name}
          </button>
        ))}
      </div>
      <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,19rem)_minmax(0,1fr)_minmax(0,21rem)]">
        <div className="grid content-start gap-4">
          <SelectField
            label="Student"
            value={studentChosen}
            onChange={(event) => setStudent(event.target.value)}
          >
            <option value="">try it without a student</option>
            {seated.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </SelectField>
          {fits[kind].fields.map((field) => (
            <Field
              key={field.name}
              label={`${field.label} in ${field.unit}`}
              inputMode="decimal"
              hint={field.hint}
              value={typed[field.name] ?? ""}
              onChange={(event) => setTyped({ ...typed, [field.name]: event.target.value })}
            />
          ))}
          {kind === "BASS_ENDPIN" && (
            <Tick
              label="Plays standing"
              checked={typed.standing ?? true}
              onChange={(event) => setTyped({ ...typed, standing: event.target.checked })}
            />
          )}
        </div>
        <FitPicture kind={kind} result={computed.data?.result} standing={typed.standing ?? true} />
        <div className="grid content-start gap-3" aria-live="polite">
          {computed.isError && <Failed error={computed.error} />}
          {!computed.data && !computed.isError && (
            <p className="soft">Measure, and the starting value stands here.</p>
          )}
          {computed.data && (
            <Result
              key={`${kind} ${studentChosen} ${computed.data.result}`}
              kind={kind}
              computed={computed.data}
              measures={measures}
              studentId={student?.id}
              name={student?.name}
            />
          )}
        </div>
      </div>
      {student && <KeptFits studentId={student.id} name={student.name} />}
    </>
  );
}

interface ResultProps {
  kind: FitKind;
  computed: ComputedFit;
  measures: NewFit["measures"];
  studentId?: string;
  name?: string;
}

function Result({ kind, computed, measures, studentId, name }: ResultProps) {
  const client = useQueryClient();
  const toast = useToast();
  const [id] = useState(() => newId());
  const [confirmed, setConfirmed] = useState<NewFit["confirmed"]>([]);
  const [setTo, setSetTo] = useState("");
  const keep = useMutation({
    mutationFn: () =>
      post<void>(at("/api/students/{studentId}/fits", { studentId }), {
        id,
        kind,
        measures,
        confirmed,
        setTo: setTo.trim() || undefined,
      } satisfies NewFit),
    onSuccess: async () => {
      toast(`Kept with ${name}`);
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  return (
    <>
      <p className="display text-[2.1rem]">{computed.result}</p>
      <p className="small soft">Look again by {longDay(computed.reviewOn)}, sooner after a growth spurt.</p>
      <fieldset className="grid gap-2">
        <legend className="mb-1.5 font-semibold">Confirmed by the body</legend>
        {computed.confirmBy.map(({ test, sentence }) => (
          <Tick
            key={test}
            label={sentence}
            checked={confirmed.includes(test)}
            onChange={() =>
              setConfirmed(
                confirmed.includes(test) ? confirmed.filter((other) => other !== test) : [...confirmed, test],
              )
            }
          />
        ))}
      </fieldset>
      <Field
        label="Set to, where the body said otherwise"
        maxLength={40}
        placeholder={computed.result}
        value={setTo}
        onChange={(event) => setSetTo(event.target.value)}
      />
      {keep.isError && <Failed error={keep.error} />}
      <Button
        look="primary"
        disabled={!studentId || keep.isPending || keep.isSuccess}
        onClick={() => keep.mutate()}
      >
        {keep.isSuccess ? "Kept" : name ? `Keep with ${name}` : "Choose a student to keep it"}
      </Button>
    </>
  );
}
