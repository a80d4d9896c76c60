import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useEffect, useState } from "react";
import type { AskedSection, LadderForm } from "../../api/types";
import { counted } from "../../ui/words";
import { ladderPreviewQuery } from "./belts.queries";
import { beltOf } from "./ladderForm";

interface Props {
  ladderId?: string;
  ladder: LadderForm;
  /** The belt that is looked at, by its place. */
  open: number;
  onOpen: (at: number) => void;
}

const SETTLED_MS = 350;

/** The same value once it has stood still for a moment. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(value), SETTLED_MS);
    return () => window.clearTimeout(timer);
  }, [value]);
  return settled;
}

/** What the belt that is open asks of every instrument, what that costs, and who would wear what. */
export function LadderPreview({ ladderId, ladder, open, onOpen }: Props) {
  const settled = useDeferredValue(useSettled(ladder));
  const preview = useQuery(ladderPreviewQuery(ladderId, settled));
  return (
    <section
      aria-label="What it would ask"
      aria-busy={preview.isFetching}
      className="grid content-start gap-2"
    >
      <h2 className="text-[1.15rem]">What it would ask</h2>
      {preview.isError && <p role="alert">{preview.error.message}</p>}
      {preview.data && preview.data.faults.length > 0 && (
        <ul className="grid gap-1">
          {preview.data.faults.map((fault) => {
            const belt = beltOf(fault.field);
            return (
              <li key={fault.field + fault.sentence} className="border-b border-[var(--hairline)] pb-1">
                {belt === undefined ? (
                  fault.sentence
                ) : (
                  <button type="button" className="cursor-pointer text-left" onClick={() => onOpen(belt)}>
                    {fault.sentence}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {preview.data?.faults.length === 0 && preview.data.sections.length === 0 && (
        <p className="soft">Nobody is on the roster yet; it can be kept all the same.</p>
      )}
      {preview.data && preview.data.faults.length === 0 && (
        <>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="By instrument">
            <table className="w-full border-separate border-spacing-0">
              <thead>
                <tr className="small soft text-left">
                  <th scope="col" className="pr-3 font-normal">
                    Section
                  </th>
                  <th scope="col" className="pr-3 font-normal">
                    {ladder.belts[open]?.name || "This belt"} asks
                  </th>
                  <th scope="col" className="pr-3 text-right font-normal">
                    Teach
                  </th>
                  <th scope="col" className="pr-3 text-right font-normal">
                    Hear
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Wearers
                  </th>
                </tr>
              </thead>
              <tbody>
                {seated(preview.data.sections).map((section) => (
                  <SectionRow key={section.instrument} section={section} open={open} />
                ))}
              </tbody>
            </table>
          </div>
          <p className="small soft">
            Today {standing(preview.data.sections)}. Minutes are for the whole section; who wears a belt
            already is not heard again.
          </p>
        </>
      )}
    </section>
  );
}

/** Those somebody plays in; before anybody does, all. */
function seated(sections: readonly AskedSection[]): readonly AskedSection[] {
  const some = sections.filter((section) => section.students > 0);
  return some.length > 0 ? some : sections;
}

function SectionRow({ section, open }: { section: AskedSection; open: number }) {
  const belt = section.belts[open];
  if (!belt) return null;
  const empty = belt.slots.filter((slot) => !slot.milestone);
  const asked = belt.slots.filter((slot) => slot.milestone);
  const cell = "border-t border-[var(--hairline)] py-1 pr-3 align-top";
  return (
    <tr>
      <th scope="row" className={`${cell} text-left font-semibold`}>
        {section.instrumentName} <span className="small soft font-normal">{section.students}</span>
      </th>
      <td className={`${cell} small`}>
        {belt.needed === 0 && <i>nothing: the belt is not shown</i>}
        {belt.needed > 0 && belt.needed < asked.length && `${belt.needed} of `}
        {asked.map((slot) => slot.milestone).join(" · ")}
        {empty.length > 0 && (
          <span className="text-error block">
            empty: {empty.map((slot) => slot.slot.toLowerCase()).join(", ")}
          </span>
        )}
      </td>
      <td className={`${cell} text-right whitespace-nowrap`}>{belt.teachMinutes} min</td>
      <td className={`${cell} text-right whitespace-nowrap`}>{belt.hearMinutes} min</td>
      <td
        className="border-t border-[var(--hairline)] py-1 text-right align-top"
        title={belt.wearers.join(", ")}
      >
        {belt.wearers.length}
      </td>
    </tr>
  );
}

/** "none: 12 students, Driftwood: 9, Shell: 3" */
function standing(sections: readonly AskedSection[]): string {
  const without = sections.reduce((sum, section) => sum + section.without, 0);
  const belts = sections[0]?.belts.map((belt) => belt.belt.name) ?? [];
  const worn = belts.map((name, i) => {
    const wearers = sections.reduce((sum, section) => sum + (section.belts[i]?.wearers.length ?? 0), 0);
    return `${wearers} would wear ${name}`;
  });
  return [`${counted(without, "student")} would wear none`, ...worn].join(", ");
}
