import { at } from "../../api/at";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { v7 as newId } from "uuid";
import type { CheckView, MeasureRequest, Player } from "../../api/types";
import { useScope } from "../../app/scope";
import { Button } from "../../ui/parts";
import { measuredQuery } from "../library/checks.queries";
import { outbox } from "./outbox";
import { looks } from "../../ui/looks";

interface Props {
  milestoneId: string;
  measured: NonNullable<CheckView["measured"]>;
  player: Player;
}

/** A criterion that is an amount: timed here or typed, kept with the try, the best so far beside it. */
export function Measure({ milestoneId, measured, player }: Props) {
  const { scope } = useScope();
  const client = useQueryClient();
  const kept = useQuery(measuredQuery(milestoneId, scope));
  const [value, setValue] = useState("");
  const [since, setSince] = useState<number>();
  const [mine, setMine] = useState<number>();
  const field = useRef<HTMLInputElement>(null);
  useEffect(
    () => outbox.onRecorded(() => void client.invalidateQueries({ queryKey: ["progress", "measured"] })),
    [client],
  );
  const before = kept.data?.find((one) => one.studentId === player.studentId);
  const best = Math.max(before?.best ?? 0, mine ?? 0);
  const number = Number(value.replace(",", "."));
  const fits = value.trim() !== "" && number >= 0.1 && number <= 600;
  const time = () => {
    if (since === undefined) return setSince(performance.now());
    setValue(((performance.now() - since) / 1000).toFixed(1));
    setSince(undefined);
  };
  const keep = () => {
    if (!fits) return field.current?.focus();
    const id = newId();
    setMine(Math.max(mine ?? 0, number));
    outbox.add({
      id,
      kind: "note",
      label: `${player.name}, ${measured.name.toLowerCase()} ${number} ${measured.unit}`,
      path: at("/api/checks/{milestoneId}/measurements", { milestoneId }),
      body: {
        id,
        studentId: player.studentId,
        classId: player.classId,
        value: number,
      } satisfies MeasureRequest,
    });
    setValue("");
  };
  return (
    <div role="group" aria-label={measured.name} className="mb-3 flex flex-wrap items-center gap-3">
      <span className="font-semibold">{measured.name}</span>
      <Button small onClick={time}>
        {since === undefined ? "Start the clock" : "Stop"}
      </Button>
      <label className="flex items-center gap-1.5">
        <input
          ref={field}
          inputMode="decimal"
          aria-label={`${measured.name} in ${measured.unit}`}
          className={`${looks.smallInput} w-20`}
          value={value}
          onChange={(event) => setValue(event.target.value)}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === "Enter") keep();
          }}
        />
        {measured.unit}
      </label>
      <Button small disabled={!fits} onClick={keep}>
        Keep
      </Button>
      <span className="soft">
        {best > 0
          ? `best so far ${best} ${measured.unit}`
          : `none yet, towards ${measured.aim} ${measured.unit}`}
      </span>
    </div>
  );
}
