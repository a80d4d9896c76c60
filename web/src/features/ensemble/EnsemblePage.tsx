import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import type { ClassView } from "../../api/types";
import { classesQuery } from "../../app/queries";
import { useScope } from "../../app/scope";
import { SelectField } from "../../ui/Field";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { RosterTabs } from "../roster/RosterTabs";
import { Pieces } from "./Pieces";
import { ProposedParts } from "./ProposedParts";
import { Ready } from "./Ready";

const views = { ready: "Who is ready", parts: "Parts", pieces: "Pieces" } as const;
type View = keyof typeof views;

/** Seating an ensemble: who is ready, which part is whose, and which piece it can have learnt by a day. */
export function EnsemblePage() {
  const classes = useQuery(classesQuery);
  const { scope } = useScope();
  const [chosen, setChosen] = useState<string>();
  const [view, setView] = useState<View>("ready");
  if (classes.isError) return <Failed error={classes.error} again={() => void classes.refetch()} />;
  if (!classes.data) return <Skeleton rows={8} />;
  const ensembleId = chosen ?? ensembleFor(classes.data, scope.classId)?.id;
  if (!ensembleId) return <Empty>There is no class yet; make one in Office.</Empty>;
  const name = classes.data.find((one) => one.id === ensembleId)?.name ?? "";
  return (
    <>
      <Heading title={`Into ${name}`}>
        <RosterTabs />
      </Heading>
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <div className="w-64">
          <SelectField
            label="Ensemble"
            small
            value={ensembleId}
            onChange={(event) => setChosen(event.target.value)}
          >
            {classes.data.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </SelectField>
        </div>
        <div role="tablist" aria-label="Views of the ensemble" className="flex gap-1">
          {Object.entries(views).map(([key, words]) => (
            <button
              key={key}
              type="button"
              role="tab"
              aria-selected={view === key}
              onClick={() => setView(key as View)}
              className={clsx(
                "rounded-lg border-[1.5px] px-3 py-1",
                view === key
                  ? "bg-neutral text-neutral-content border-neutral"
                  : "hairline hover:bg-base-200",
              )}
            >
              {words}
            </button>
          ))}
        </div>
      </div>
      {view === "ready" && <Ready ensembleId={ensembleId} />}
      {view === "parts" && <ProposedParts key={ensembleId} ensembleId={ensembleId} />}
      {view === "pieces" && <Pieces key={ensembleId} ensembleId={ensembleId} />}
    </>
  );
}

/** Another class than the one looked at, of those for which numbers are wanted first. */
function ensembleFor(classes: readonly ClassView[], classId?: string): ClassView | undefined {
  const others = classes.filter((one) => one.id !== classId);
  return (
    others.find((one) => one.sections.some((section) => section.wanted !== undefined)) ??
    [...others].sort((a, b) => b.sections.length - a.sections.length)[0] ??
    classes[0]
  );
}
