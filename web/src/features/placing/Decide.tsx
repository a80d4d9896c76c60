import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { Placing } from "../../api/types";
import { shortDay } from "../../app/days";
import { InstrumentSelect } from "../../app/InstrumentSelect";
import { scopeSearch, useScope } from "../../app/scope";
import { Field } from "../../ui/Field";
import { Button, Failed } from "../../ui/parts";
import { useKept } from "./useKept";

/** What people decided, and why; the seat itself is changed by a switch. */
export function Decide({ studentId, placing }: { studentId: string; placing: Placing }) {
  const [instrument, setInstrument] = useState("");
  const [why, setWhy] = useState("");
  const [id, setId] = useState(() => newId());
  const { search } = useScope();
  const kept = useKept(studentId, "Kept; a seat is changed under Switch");
  const decide = useMutation({
    mutationFn: () =>
      post<void>(at("/api/students/{studentId}/placing/decisions", { studentId }), {
        id,
        instrument,
        why,
      }),
    onSuccess: async () => {
      setWhy("");
      setId(newId());
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
