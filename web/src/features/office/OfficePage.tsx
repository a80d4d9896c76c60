import clsx from "clsx";
import { useState } from "react";
import { Empty, Heading } from "../../ui/parts";
import { ClassesPart } from "./ClassesPart";
import { ImportPart } from "./ImportPart";
import { KeptPart } from "./KeptPart";
import { ProgrammePart } from "./ProgrammePart";
import { PeoplePart } from "./PeoplePart";
import { SchoolsPart } from "./SchoolsPart";
import { YearPart } from "./YearPart";

const parts = ["Import a roster", "School year", "Classes", "Schools", "People", "What is kept"] as const;

export function OfficePage({ director }: { director: boolean }) {
  const [part, setPart] = useState<(typeof parts)[number]>(parts[0]);
  if (!director) {
    return (
      <>
        <Heading title="Office" />
        <Empty>Rosters, classes and people are a director's to change. Ask one of yours.</Empty>
      </>
    );
  }
  return (
    <>
      <Heading title="Office">
        <div role="tablist" aria-label="Office" className="flex flex-wrap gap-1">
          {parts.map((name) => (
            <button
              key={name}
              type="button"
              role="tab"
              aria-selected={part === name}
              onClick={() => setPart(name)}
              className={clsx(
                "rounded-lg border-[1.5px] px-3 py-1",
                part === name
                  ? "bg-neutral text-neutral-content border-neutral"
                  : "hairline hover:bg-base-200",
              )}
            >
              {name}
            </button>
          ))}
        </div>
      </Heading>
      {part === "Import a roster" && <ImportPart />}
      {part === "School year" && (
        <>
          <ProgrammePart />
          <YearPart />
        </>
      )}
      {part === "Classes" && <ClassesPart />}
      {part === "Schools" && <SchoolsPart />}
      {part === "People" && <PeoplePart />}
      {part === "What is kept" && <KeptPart />}
    </>
  );
}
