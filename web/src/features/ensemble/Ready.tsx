import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { EnsembleSection } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { Empty, Failed, Skeleton } from "../../ui/parts";
import { balanceWords, takes } from "./balanceWords";
import { candidatesQuery } from "./ensemble.queries";
import { GateChoice } from "./GateChoice";

/** The students of the sections at the left, by section, against the numbers the ensemble wants. */
export function Ready({ ensembleId }: { ensembleId: string }) {
  const { scope } = useScope();
  const candidates = useQuery(candidatesQuery(ensembleId, scope));
  if (!scope.classId && !scope.instrument)
    return <Empty>Choose whose students are asked about, a class or an instrument, at the left.</Empty>;
  if (candidates.isError) return <Failed error={candidates.error} again={() => void candidates.refetch()} />;
  if (!candidates.data) return <Skeleton rows={8} />;
  return (
    <>
      <GateChoice key={ensembleId} ensembleId={ensembleId} gate={candidates.data.gate} />
      <div className="gap-x-10 xl:columns-2">
        {candidates.data.sections.map((section) => (
          <Section key={section.instrument} section={section} />
        ))}
      </div>
    </>
  );
}

function Section({ section }: { section: EnsembleSection }) {
  const { search } = useScope();
  return (
    <section aria-label={section.instrumentName} className="mb-6 break-inside-avoid">
      <h2 className="flex flex-wrap items-baseline gap-x-3 text-[1.15rem]">
        {section.instrumentName}
        <span className="small font-normal">
          {section.ready} ready{section.wanted !== undefined && ` of ${section.wanted} wanted`},{" "}
          {section.nearly} nearly
        </span>
        <span className="small soft font-normal">{balanceWords(section)}</span>
      </h2>
      {section.candidates.length === 0 && <p className="soft py-1">Nobody here plays it.</p>}
      <ul>
        {section.candidates.map((one) => (
          <li
            key={one.studentId}
            className="grid grid-cols-[12.5rem_minmax(0,1fr)] gap-x-4 border-t border-[var(--hairline)] py-1.5"
          >
            <span>
              <Link
                className="font-semibold no-underline hover:underline"
                to={{ pathname: `/roster/students/${one.studentId}`, search: scopeSearch(search, {}) }}
              >
                {one.name}
              </Link>
              {one.inIt && <span className="small soft block">sits in it already</span>}
            </span>
            <span className={one.degree === "READY" ? "font-semibold" : undefined}>
              {one.degree === "NEARLY" && <b>nearly, </b>}
              {takes(one)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
