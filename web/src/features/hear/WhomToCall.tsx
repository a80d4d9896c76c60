import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useSearchParams } from "react-router";
import type { Run } from "../../api/types";
import { useScope } from "../../app/scope";
import { beltsInReachQuery } from "./hear.queries";
import type { useRun } from "./useRun";
import { useWith } from "./useWith";
import { queueFor, whomWords, type Whom } from "./whomToCall";

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
}

const nobody: ReadonlySet<string> = new Set();

/** Whom the run calls, and in which other classes: changed at any time, what was heard stays heard. */
export function WhomToCall({ run, live }: Props) {
  const { scope } = useScope();
  const others = useWith();
  const [asked] = useSearchParams();
  const listed = asked.get("called");
  const [whom, setWhom] = useState<Whom>(listed ? "BY_HAND" : "EVERYBODY");
  const [byHand, setByHand] = useState(() => (listed ? new Set(listed.split(",")) : nobody));
  const belts = useQuery({
    ...beltsInReachQuery(run.milestone.id, scope, others.with),
    enabled: whom === "BELT",
  });
  const call = (next: Whom, chosen: ReadonlySet<string>) =>
    live.dispatch({ type: "call", studentIds: queueFor(next, run, live.state, chosen) });
  useEffect(() => {
    if (listed) call("BY_HAND", byHand);
    // Once, as the run opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const choose = (next: Whom) => {
    setWhom(next);
    if (next === "BELT") {
      void belts.refetch().then(({ data }) => {
        if (data) call("BELT", new Set(data.map((one) => one.studentId)));
      });
    } else call(next, byHand);
  };
  const toggle = (studentId: string) => {
    const next = new Set(byHand);
    if (!next.delete(studentId)) next.add(studentId);
    setByHand(next);
    call("BY_HAND", next);
  };
  return (
    <details className="small mb-2 px-2">
      <summary className="soft cursor-pointer">Calls {whomWords[whom]}</summary>
      <label className="mt-1.5 block">
        Whom
        <select
          className="hairline bg-base-100 text-base-content mt-0.5 block w-full rounded-md border-[1.5px] px-1.5 py-1"
          value={whom}
          onChange={(event) => choose(event.target.value as Whom)}
        >
          {Object.entries(whomWords).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {whom === "BELT" && belts.isError && <p role="alert">Who can reach a belt is not known just now.</p>}
      {whom === "BELT" && belts.data && (
        <ul className="mt-1">
          {belts.data.map((one) => (
            <li key={one.studentId}>
              {run.players.find((player) => player.studentId === one.studentId)?.name}:{" "}
              <span className="soft">{one.belt}</span>
            </li>
          ))}
          {belts.data.length === 0 && <li>Nobody, with this.</li>}
        </ul>
      )}
      {whom === "BY_HAND" && (
        <fieldset className="mt-1.5 grid max-h-56 gap-0.5 overflow-y-auto">
          <legend className="sr-only">Who is on the list</legend>
          {run.players.map((player) => (
            <label key={player.studentId} className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                checked={byHand.has(player.studentId)}
                onChange={() => toggle(player.studentId)}
              />
              {player.name}
            </label>
          ))}
        </fieldset>
      )}
      {others.offered.length > 0 && (
        <fieldset className="mt-1.5">
          <legend className="soft">and the same in</legend>
          {others.offered.map((c) => (
            <label key={c.id} className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                checked={others.with.includes(c.id)}
                onChange={() => others.toggle(c.id)}
              />
              {c.name}
            </label>
          ))}
        </fieldset>
      )}
    </details>
  );
}
