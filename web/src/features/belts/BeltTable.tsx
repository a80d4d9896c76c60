import { Fragment } from "react";
import { Link } from "react-router";
import type { Belt, BeltRow } from "../../api/types";
import { shortDay } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { ProgressMark } from "../../ui/ProgressMark";
import { beltWords } from "./beltWords";

interface Props {
  rows: readonly BeltRow[];
  belts: ReadonlyMap<string, Belt>;
}

const headings = ["Student", "Belt worn", "Toward the next", "Missing"];

export function BeltTable({ rows, belts }: Props) {
  const { search } = useScope();
  const several = new Set(rows.map((row) => row.instrument)).size > 1;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Belts">
      <table className="w-full border-separate border-spacing-0">
        <thead>
          <tr className="small soft text-left">
            {headings.map((heading) => (
              <th
                key={heading}
                scope="col"
                className="border-base-content border-t-[1.5px] border-b border-b-[var(--hairline)] py-2 pr-4 font-normal"
              >
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <Fragment key={row.studentId + row.instrument}>
              {several && row.instrument !== rows[i - 1]?.instrument && (
                <tr>
                  <th scope="colgroup" colSpan={4} className="soft small pt-3 pb-0.5 text-left font-normal">
                    {row.instrumentName}
                  </th>
                </tr>
              )}
              <tr className="hover:bg-base-200">
                <th
                  scope="row"
                  className="border-b border-[var(--hairline)] py-2.5 pr-4 text-left font-semibold whitespace-nowrap"
                >
                  <Link
                    className="no-underline hover:underline"
                    to={{ pathname: `/roster/students/${row.studentId}`, search: scopeSearch(search, {}) }}
                  >
                    {row.name}
                  </Link>
                </th>
                <td className="border-b border-[var(--hairline)] pr-5">
                  <BeltStrip belt={row.wornBelt ? belts.get(row.wornBelt) : undefined} />
                </td>
                <td className="border-b border-[var(--hairline)] pr-5">
                  <Toward row={row} belts={belts} />
                </td>
                <td className="border-b border-[var(--hairline)]">
                  <Missing row={row} belts={belts} />
                </td>
              </tr>
            </Fragment>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Toward({ row, belts }: { row: BeltRow; belts: Props["belts"] }) {
  const next = row.towardBelt ? belts.get(row.towardBelt) : undefined;
  if (!next) return null;
  return (
    <span className="flex items-center gap-2">
      <span className="small soft w-[4.6rem] truncate">{next.name}</span>
      {row.slots.map((slot) => (
        <span key={slot.milestoneId} title={slot.must ? slot.name : `${slot.name}, of free choice`}>
          <ProgressMark {...slot.standing} />
          <span className="sr-only">{slot.name}</span>
        </span>
      ))}
    </span>
  );
}

function Missing({ row, belts }: { row: BeltRow; belts: Props["belts"] }) {
  return (
    <>
      <Words row={row} belts={belts} />
      {row.withdrawn.map((one) => (
        <span key={one.handOverId} className="small block">
          {belts.get(one.beltId)?.name ?? "A belt"}, handed over {shortDay(one.handedOn)}, is no longer earned
        </span>
      ))}
    </>
  );
}

function Words({ row, belts }: { row: BeltRow; belts: Props["belts"] }) {
  const words = beltWords(row, belts);
  switch (words.kind) {
    case "handOver":
      return <b className="text-primary">hand over {words.belts.join(", ")}</b>;
    case "top":
      return <span className="soft">top of the ladder</span>;
    case "noLadder":
      return <span className="soft">no ladder for this instrument</span>;
    case "oneHearing":
      return (
        <>
          one hearing away: <b>{words.names}</b>
          {words.waiting && <b> (recording waits)</b>}
          <Remedy of={words.remedy} />
        </>
      );
    case "missing":
      return (
        <>
          <span className="soft">
            {words.filled} of {words.asked}:
          </span>{" "}
          {words.names}
          <Remedy of={words.remedy} />
        </>
      );
  }
}

function Remedy({ of }: { of?: string }) {
  if (!of) return null;
  return (
    <span className="small block">
      three tries on <b>{of}</b>: another remedy first
    </span>
  );
}
