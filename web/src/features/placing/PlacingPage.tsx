import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import type { Placing, PlacingOption, Trial } from "../../api/types";
import { shortDay } from "../../app/days";
import { InstrumentSelect } from "../../app/InstrumentSelect";
import { studentsQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Field, SelectField } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Button, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { placingQuery } from "./placing.queries";
import { aspects, grew, mouthpieces, type Aspect } from "./placingWords";
import { TwoWays } from "./TwoWays";

/** Which instrument suits a student: tried over weeks, side by side, without a score. The decision stays with people. */
export function PlacingPage() {
  const { studentId = "" } = useParams();
  const placing = useQuery(placingQuery(studentId));
  const students = useQuery(studentsQuery);
  const { search } = useScope();
  const name = students.data?.find((one) => one.id === studentId)?.name ?? "";
  if (placing.isError) return <Failed error={placing.error} again={() => void placing.refetch()} />;
  if (!placing.data) return <Skeleton rows={8} />;
  return (
    <>
      <Heading title={`Placing ${name}`} words="Nothing is scored; what is decided is decided by people.">
        <Link
          className={looks.smallButton}
          to={{ pathname: `/roster/students/${studentId}`, search: scopeSearch(search, {}) }}
        >
          Folder
        </Link>
      </Heading>
      <div className="grid gap-x-10 gap-y-7 xl:grid-cols-2">
        <div className="grid content-start gap-7">
          <Options placing={placing.data} />
          <Trials studentId={studentId} trials={placing.data.trials} />
          <Decide studentId={studentId} placing={placing.data} />
        </div>
        <div className="grid content-start gap-7">
          <TrialForm studentId={studentId} />
          <TwoWays studentId={studentId} compared={placing.data.compared} />
        </div>
      </div>
    </>
  );
}

function useKept(studentId: string, words: string) {
  const client = useQueryClient();
  const toast = useToast();
  return async () => {
    toast(words);
    await client.invalidateQueries({ queryKey: ["progress", "placing", studentId] });
  };
}

function Options({ placing }: { placing: Placing }) {
  if (placing.options.length === 0) {
    return (
      <p className="soft">
        Nothing was tried yet. Three trials of an instrument, spread over a week or more, make a fair one.
      </p>
    );
  }
  return (
    <section aria-label="Options side by side">
      <h2 className="mb-1 text-[1.2rem]">Side by side</h2>
      <ul>
        {placing.options.map((option) => (
          <Option key={option.instrument} option={option} />
        ))}
      </ul>
    </section>
  );
}

function Option({ option }: { option: PlacingOption }) {
  return (
    <li className="border-t border-[var(--hairline)] py-2">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <b>{option.instrumentName}</b>
        <span className="small soft">
          {counted(option.trials, "trial")}, {shortDay(option.from)}
          {option.to !== option.from && ` to ${shortDay(option.to)}`} · {option.seated} play it
          {option.wanted !== undefined && `, ${option.wanted} wanted`}
        </span>
      </p>
      <p className="flex flex-wrap gap-x-5">
        {option.seen.map((seen) => {
          const words = aspects.find((one) => one.aspect === seen.aspect.toLowerCase());
          return (
            <span key={seen.aspect} title={words && `1 ${words.least}, 4 ${words.most}`}>
              {words?.name} <b>{grew(seen.first, seen.last)}</b>
            </span>
          );
        })}
      </p>
      <ul>
        {option.remarks.map((remark) => (
          <li key={remark.remark} className="small">
            {remark.sentence}
          </li>
        ))}
      </ul>
    </li>
  );
}

function Trials({ studentId, trials }: { studentId: string; trials: readonly Trial[] }) {
  const kept = useKept(studentId, "Taken back");
  const takeBack = useMutation({
    mutationFn: (trialId: string) =>
      remove(at("/api/students/{studentId}/placing/trials/{trialId}", { studentId, trialId })),
    onSuccess: kept,
  });
  if (trials.length === 0) return null;
  return (
    <details>
      <summary className="cursor-pointer">Every trial ({trials.length})</summary>
      <ul className="mt-1">
        {trials.map((trial) => (
          <li
            key={trial.id}
            className="flex flex-wrap items-baseline gap-x-3 border-t border-[var(--hairline)] py-1"
          >
            <span className="soft small">{shortDay(trial.on)}</span>
            <b>{trial.instrumentName}</b>
            <span className="small">{mouthpieces[trial.mouthpiece]}</span>
            <span>
              {aspects
                .filter(({ aspect }) => trial.seen[aspect] !== undefined)
                .map(({ aspect, name }) => `${name.toLowerCase()} ${trial.seen[aspect]}`)
                .join(", ")}
              {trial.armCm !== undefined && `, arm ${trial.armCm} cm`}
            </span>
            {trial.note && <span className="soft">{trial.note}</span>}
            <Button small look="quiet" className="ml-auto" onClick={() => takeBack.mutate(trial.id)}>
              take back
            </Button>
          </li>
        ))}
      </ul>
      {takeBack.isError && <Failed error={takeBack.error} />}
    </details>
  );
}

function TrialForm({ studentId }: { studentId: string }) {
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

function Decide({ studentId, placing }: { studentId: string; placing: Placing }) {
  const [instrument, setInstrument] = useState("");
  const [why, setWhy] = useState("");
  const { search } = useScope();
  const kept = useKept(studentId, "Kept; a seat is changed under Switch");
  const decide = useMutation({
    mutationFn: () =>
      post<void>(at("/api/students/{studentId}/placing/decisions", { studentId }), {
        id: newId(),
        instrument,
        why,
      }),
    onSuccess: async () => {
      setWhy("");
      await kept();
    },
  });
  const params = new URLSearchParams(scopeSearch(search, {}));
  params.set("student", studentId);
  return (
    <section aria-label="Decided">
      <h2 className="mb-1 text-[1.2rem]">Decided</h2>
      <ul>
        {placing.decided.map((one, i) => (
          <li key={i} className="border-t border-[var(--hairline)] py-1">
            <b>{one.instrumentName}</b> {one.why && `because ${one.why}`}{" "}
            <span className="small soft">
              {shortDay(one.on)}, {one.by}
            </span>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          decide.mutate();
        }}
      >
        <div className="w-48">
          <InstrumentSelect label="Instrument" value={instrument} onChange={setInstrument} />
        </div>
        <div className="min-w-40 grow">
          <Field
            label="Because"
            small
            maxLength={300}
            value={why}
            onChange={(event) => setWhy(event.target.value)}
          />
        </div>
        <Button type="submit" disabled={instrument === "" || decide.isPending}>
          Decided
        </Button>
      </form>
      {decide.isError && <Failed error={decide.error} />}
      <p className="small mt-1.5">
        <Link to={{ pathname: "/roster/switch", search: params.toString() }}>Switch the seat</Link>: what
        comes along and what opens anew.
      </p>
    </section>
  );
}
