import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Printer } from "lucide-react";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import type { Belt, BeltBoard, HandOverRequest } from "../../api/types";
import { useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { Field } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";

interface Props {
  board: BeltBoard;
  belts: ReadonlyMap<string, Belt>;
  onDone: () => void;
}

/** The belts that are earned and were not handed over yet: for whom, on which day, at what. */
export function HandingOver({ board, belts, onDone }: Props) {
  const due = board.rows.flatMap((row) =>
    row.due.map((one) => ({
      key: `${row.studentId} ${row.instrument} ${one.beltId}`,
      row,
      beltId: one.beltId,
    })),
  );
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [handedOn, setHandedOn] = useState(board.on);
  const [occasion, setOccasion] = useState("");
  const { scope } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const chosen = due.filter((one) => !left.has(one.key));
  const again = () => client.invalidateQueries({ queryKey: ["progress"] });
  const handOver = useMutation({
    mutationFn: async () => {
      const request: HandOverRequest = {
        handedOn,
        occasion: occasion.trim() || undefined,
        belts: chosen.map((one) => ({
          id: newId(),
          studentId: one.row.studentId,
          beltId: one.beltId,
          instrument: one.row.instrument,
        })),
      };
      await post<void>(at("/api/belts/hand-overs"), request);
      return request.belts.map((one) => one.id);
    },
    onSuccess: async (ids) => {
      toast(`${counted(ids.length, "belt")} handed over`, () => {
        void Promise.all(
          ids.map((handOverId) => remove(at("/api/belts/hand-overs/{handOverId}", { handOverId }))),
        ).then(again);
      });
      await again();
      onDone();
    },
  });
  const toggle = (key: string) => {
    const next = new Set(left);
    if (!next.delete(key)) next.add(key);
    setLeft(next);
  };
  return (
    <form
      aria-label="Hand over belts"
      className="hairline mb-4 grid gap-3 rounded-xl border-[1.5px] p-4"
      onSubmit={(event) => {
        event.preventDefault();
        handOver.mutate();
      }}
    >
      <ul className="grid gap-x-8 gap-y-1 md:grid-cols-2 xl:grid-cols-3">
        {due.map((one) => (
          <li key={one.key}>
            <label className="flex min-h-9 items-center gap-2.5">
              <input
                type="checkbox"
                className={looks.checkbox}
                checked={!left.has(one.key)}
                onChange={() => toggle(one.key)}
              />
              <BeltStrip belt={belts.get(one.beltId)} width={92} decorative />
              <span>
                {one.row.name} <span className="small soft">{belts.get(one.beltId)?.name}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-4">
        <Field
          label="On"
          small
          type="date"
          max={board.on}
          value={handedOn}
          onChange={(event) => setHandedOn(event.target.value)}
        />
        <div className="min-w-52 grow">
          <Field
            label="At"
            small
            maxLength={60}
            placeholder="end of class, winter concert"
            value={occasion}
            onChange={(event) => setOccasion(event.target.value)}
          />
        </div>
        <a className={looks.smallButton} href={at("/api/belts/labels.pdf", {}, { ...scope })} download>
          <Printer size={15} aria-hidden /> Labels
        </a>
        <a className={looks.smallButton} href={at("/api/belts/certificates.pdf", {}, { ...scope })} download>
          <Printer size={15} aria-hidden /> Certificates
        </a>
        <Button small look="quiet" onClick={onDone}>
          Not now
        </Button>
        <Button
          small
          look="primary"
          type="submit"
          disabled={chosen.length === 0 || handedOn === "" || handOver.isPending}
        >
          Handed over
        </Button>
      </div>
      {handOver.isError && (
        <p role="alert" className="text-error font-semibold">
          {handOver.error.message}
        </p>
      )}
    </form>
  );
}
