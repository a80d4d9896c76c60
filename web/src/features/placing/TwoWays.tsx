import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { Placing } from "../../api/types";
import { shortDay } from "../../app/days";
import { InstrumentSelect } from "../../app/InstrumentSelect";
import { Field, Tick } from "../../ui/Field";
import { Button } from "../../ui/parts";

interface Props {
  studentId: string;
  compared: Placing["compared"];
}

type Heard = "FIRST" | "SECOND" | "NO_DIFFERENCE";

/** Two placements, syllables or hands tried in turn; the better one is tapped, without knowing which it is if wanted. */
export function TwoWays({ studentId, compared }: Props) {
  const client = useQueryClient();
  const [id, setId] = useState(() => newId());
  const [instrument, setInstrument] = useState("");
  const [about, setAbout] = useState("");
  const [one, setOne] = useState("");
  const [other, setOther] = useState("");
  const [blind, setBlind] = useState(true);
  const [told, setTold] = useState<string>();
  const [order, setOrder] = useState<{ first: string; second: string }>();
  const [looked, setLooked] = useState(false);
  const ready = instrument !== "" && about.trim() !== "" && one.trim() !== "" && other.trim() !== "";
  const look = useMutation({
    mutationFn: () =>
      post<{ first: string; second: string }>(
        at("/api/students/{studentId}/placing/two-ways/order", { studentId }),
        { id, one, other },
      ),
    onSuccess: (told) => {
      setOrder(told);
      setLooked(true);
    },
  });
  const save = useMutation({
    mutationFn: (better: Heard) =>
      post<{ better?: string }>(at("/api/students/{studentId}/placing/two-ways", { studentId }), {
        id,
        instrument,
        about,
        one,
        other,
        blind,
        better,
      }),
    onSuccess: async ({ better }) => {
      setTold(better ? `“${better}” was better` : "no difference was heard");
      setId(newId());
      setOrder(undefined);
      setLooked(false);
      await client.invalidateQueries({ queryKey: ["progress", "placing", studentId] });
    },
  });
  return (
    <section aria-label="Two ways against each other" className="grid gap-3">
      <h2 className="text-[1.2rem]">Two ways against each other</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <InstrumentSelect label="On" value={instrument} onChange={setInstrument} />
        <Field
          label="Compared"
          small
          maxLength={60}
          placeholder="syllable, mouthpiece height"
          value={about}
          onChange={(event) => setAbout(event.target.value)}
        />
        <Field
          label="One way"
          small
          maxLength={60}
          placeholder="tu"
          value={one}
          onChange={(event) => setOne(event.target.value)}
        />
        <Field
          label="The other"
          small
          maxLength={60}
          placeholder="du"
          value={other}
          onChange={(event) => setOther(event.target.value)}
        />
      </div>
      <Tick
        label="I do not know which comes first: the student looks at the order, I turn away"
        checked={blind}
        onChange={(event) => setBlind(event.target.checked)}
      />
      {blind && ready && !order && (
        <Button className="justify-self-start" onClick={() => look.mutate()} disabled={look.isPending}>
          For the student: show the order
        </Button>
      )}
      {blind && order && (
        <p className="flex flex-wrap items-center gap-3">
          <span>
            First <b>{order.first}</b>, then <b>{order.second}</b>.
          </span>
          <Button small onClick={() => setOrder(undefined)}>
            Hide it and play
          </Button>
        </p>
      )}
      {!order && (
        <div className="grid grid-cols-3 gap-2" role="group" aria-label="Which was better">
          {(
            [
              ["FIRST", blind || one === "" ? "The first" : one],
              ["SECOND", blind || other === "" ? "The second" : other],
              ["NO_DIFFERENCE", "No difference"],
            ] as const
          ).map(([heard, words]) => (
            <Button
              key={heard}
              className="h-14"
              disabled={!ready || (blind && !looked) || save.isPending}
              onClick={() => save.mutate(heard)}
            >
              {words}
            </Button>
          ))}
        </div>
      )}
      {(save.isError || look.isError) && (
        <p role="alert" className="text-error font-semibold">
          {(save.error ?? look.error)?.message}
        </p>
      )}
      {told && <p role="status">Kept: {told}.</p>}
      <ul>
        {compared.map((tally) => (
          <li
            key={tally.instrumentName + tally.about + tally.ways.join()}
            className="border-t border-[var(--hairline)] py-1"
          >
            <b>{tally.about}</b>: {tally.ways.map((way, i) => `${way} ${tally.wins[i]}`).join(", ")}
            {tally.noDifference > 0 && `, no difference ${tally.noDifference}`}{" "}
            <span className="small soft">
              {tally.instrumentName.toLowerCase()}, last {shortDay(tally.lastOn)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
