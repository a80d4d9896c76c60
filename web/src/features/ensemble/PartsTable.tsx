import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { at } from "../../api/at";
import { put } from "../../api/http";
import type { ProposedPartsOf } from "../../api/types";
import { yearQuery } from "../../app/queries";
import { useDirects } from "../../app/role";
import { Field } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { askWords, divisionNames, played } from "./partWords";

interface Props {
  classId: string;
  instrument: string;
  proposed: ProposedPartsOf;
}

/** Each player beside what each part asks; the part proposed is chosen, and the director chooses otherwise with one tap. */
export function PartsTable({ classId, instrument, proposed }: Props) {
  const [changed, setChanged] = useState<Readonly<Record<string, string>>>({});
  const directs = useDirects();
  const cell = "border-t border-[var(--hairline)] pr-6";
  return (
    <>
      <table className="border-separate border-spacing-0">
        <thead>
          <tr className="text-left">
            <th scope="col" className="soft small pr-6 font-normal">
              Player
            </th>
            {proposed.parts.map((part) => (
              <th key={part.lineId} scope="col" className="pr-6">
                {part.title}{" "}
                <span className="soft small font-normal">
                  {counted(played(proposed, changed, part.lineId).length, "player")}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {proposed.players.map((player) => (
            <tr key={player.studentId}>
              <th scope="row" className={`${cell} text-left font-semibold whitespace-nowrap`}>
                {player.name}
                {player.division && <span className="soft small font-normal"> now {player.division}</span>}
              </th>
              {player.asks.map((ask) => (
                <td key={ask.lineId} className={cell}>
                  <label className="flex min-h-9 cursor-pointer items-center gap-2">
                    <input
                      type="radio"
                      className="accent-[var(--color-primary)]"
                      name={player.studentId}
                      checked={(changed[player.studentId] ?? player.lineId) === ask.lineId}
                      onChange={() => setChanged({ ...changed, [player.studentId]: ask.lineId })}
                    />
                    <span className={clsx(ask.fits && "soft")}>{askWords(ask)}</span>
                    {player.lineId === ask.lineId && changed[player.studentId] !== undefined && (
                      <span className="soft small">proposed</span>
                    )}
                  </label>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {directs && (
        <SeatThemSo classId={classId} instrument={instrument} proposed={proposed} changed={changed} />
      )}
    </>
  );
}

/** What was decided becomes the divisions of the section, from a day on. */
function SeatThemSo({
  classId,
  instrument,
  proposed,
  changed,
}: Props & { changed: Readonly<Record<string, string>> }) {
  const client = useQueryClient();
  const toast = useToast();
  const year = useQuery(yearQuery);
  const [names, setNames] = useState<Readonly<Record<string, string>>>({});
  const [day, setDay] = useState<string>();
  const startsOn = day ?? year.data?.today ?? "";
  const usual = divisionNames(proposed);
  const nameOf = (lineId: string, i: number) => names[lineId] ?? usual[i] ?? "";
  const seat = useMutation({
    mutationFn: () =>
      put<void>(at("/api/classes/{classId}/divisions", { classId }), {
        instrument,
        startsOn,
        divisions: proposed.parts.map((part, i) => ({
          name: nameOf(part.lineId, i),
          students: played(proposed, changed, part.lineId),
        })),
      }),
    onSuccess: async () => {
      toast("Seated so");
      await client.invalidateQueries();
    },
  });
  return (
    <form
      aria-label="Seat them so"
      className="mt-5 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        seat.mutate();
      }}
    >
      <p className="w-full">Decided? The section is divided so, and orders can go to each division.</p>
      {proposed.parts.map((part, i) => (
        <div key={part.lineId} className="w-52">
          <Field
            label={part.title}
            small
            maxLength={40}
            value={nameOf(part.lineId, i)}
            onChange={(event) => setNames({ ...names, [part.lineId]: event.target.value })}
          />
        </div>
      ))}
      <Field
        label="From"
        small
        type="date"
        value={startsOn}
        onChange={(event) => setDay(event.target.value)}
      />
      <Button look="primary" type="submit" disabled={startsOn === "" || seat.isPending}>
        Seat them so
      </Button>
      {seat.isError && (
        <p role="alert" className="text-error w-full font-semibold">
          {seat.error.message}
        </p>
      )}
    </form>
  );
}
