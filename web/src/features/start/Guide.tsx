import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import { put } from "../../api/http";
import type { Guide as GuideView, GuideStep } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";
import { Button, Failed } from "../../ui/parts";
import { ProgressMark } from "../../ui/ProgressMark";
import { ClassesPart } from "../office/ClassesPart";
import { ImportPart } from "../office/ImportPart";
import { PeoplePart } from "../office/PeoplePart";
import { ProgrammePart } from "../office/ProgrammePart";
import { SchoolsPart } from "../office/SchoolsPart";
import { YearPart } from "../office/YearPart";
import { BooksStart } from "./BooksStart";
import { TemplatesStart } from "./TemplatesStart";

type Step = GuideStep["step"];

const names: Record<Step, string> = {
  SCHOOL_AND_YEAR: "School and year",
  CLASSES: "Classes",
  ROSTER: "Roster",
  BOOKS: "Books",
  SCHOOLS: "Schools of thought",
  FIRST_WEEKS: "First weeks",
  BELTS_AND_TESTS: "Belts and a test",
  WHO_ELSE: "Who else hears",
};

const begins: Record<Step, string> = {
  SCHOOL_AND_YEAR: "Begin",
  CLASSES: "Begin",
  ROSTER: "Begin",
  BOOKS: "Begin",
  SCHOOLS: "Look",
  FIRST_WEEKS: "Propose",
  BELTS_AND_TESTS: "Begin",
  WHO_ELSE: "Invite",
};

const work: Partial<Record<Step, () => ReactNode>> = {
  SCHOOL_AND_YEAR: () => (
    <>
      <ProgrammePart />
      <YearPart />
    </>
  ),
  CLASSES: () => <ClassesPart />,
  ROSTER: () => (
    <>
      <ImportPart />
      <p className="mt-3">
        Or <Link to="/roster/students">add students one by one</Link>.
      </p>
    </>
  ),
  BOOKS: () => <BooksStart />,
  SCHOOLS: () => <SchoolsPart />,
  BELTS_AND_TESTS: () => <TemplatesStart />,
  WHO_ELSE: () => <PeoplePart />,
};

const marks = { OPEN: "SET", BEGUN: "TRIED", DONE: "PASSED", LEFT_OUT: "EXCUSED" } as const;
const markWords = { OPEN: "open", BEGUN: "begun", DONE: "done", LEFT_OUT: "left out" } as const;

/** What stands before the first lesson, each thing done in its place; it goes away by itself. */
export function Guide({ guide }: { guide: GuideView }) {
  const [open, setOpen] = useState<Step>();
  return (
    <section aria-labelledby="guide">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h1 id="guide" className="text-[1.75rem]">
          Before the first lesson
        </h1>
        <p className="small soft">in any order; goes away by itself</p>
      </div>
      <ul>
        {guide.steps.map((step) => (
          <Row key={step.step} step={step} open={open === step.step} onOpen={setOpen} />
        ))}
      </ul>
    </section>
  );
}

function Row({
  step,
  open,
  onOpen,
}: {
  step: GuideStep;
  open: boolean;
  onOpen: (step: Step | undefined) => void;
}) {
  const client = useQueryClient();
  const { search } = useScope();
  const keep = useMutation({
    mutationFn: (as: "LEFT_OUT" | "SEEN" | undefined) =>
      put<void>(at("/api/start/steps/{step}", { step: step.step }), { as }),
    onSuccess: () => client.invalidateQueries({ queryKey: ["progress", "guide"] }),
  });
  const name = names[step.step];
  const words = step.state === "DONE" ? "Change" : begins[step.step];
  return (
    <li className="border-b border-[var(--hairline)] py-2.5">
      <div className="grid grid-cols-[2rem_1fr_auto] items-center gap-x-3">
        <span role="img" aria-label={markWords[step.state]}>
          <ProgressMark state={marks[step.state]} size={15} decorative />
        </span>
        <div className="min-w-0">
          <h2 className="text-[1.1rem]">{name}</h2>
          <p className={step.state === "BEGUN" ? "" : "soft"}>{step.sentence}</p>
        </div>
        <div className="flex flex-wrap justify-end gap-2">
          {step.state === "LEFT_OUT" ? (
            <Button small onClick={() => keep.mutate(undefined)} aria-label={`Take ${name} up`}>
              Take it up
            </Button>
          ) : (
            <>
              {step.state !== "DONE" && (
                <Button
                  small
                  look="quiet"
                  onClick={() => keep.mutate("LEFT_OUT")}
                  aria-label={`Leave ${name} out`}
                >
                  Leave out
                </Button>
              )}
              {step.step === "FIRST_WEEKS" ? (
                <Link
                  className={step.state === "BEGUN" ? looks.smallPrimary : looks.smallButton}
                  to={{ pathname: "/season/first-weeks", search: scopeSearch(search, {}) }}
                  aria-label={`${words} ${name}`}
                >
                  {words}
                </Link>
              ) : (
                <Button
                  small
                  look={step.state === "BEGUN" ? "primary" : "plain"}
                  aria-expanded={open}
                  aria-label={`${words} ${name}`}
                  onClick={() => {
                    if (step.step === "SCHOOLS" && step.state !== "DONE") keep.mutate("SEEN");
                    onOpen(open ? undefined : step.step);
                  }}
                >
                  {open ? "Fold" : words}
                </Button>
              )}
            </>
          )}
        </div>
      </div>
      {keep.isError && <Failed error={keep.error} />}
      {open && <div className="mt-3 pb-3">{work[step.step]?.()}</div>}
    </li>
  );
}
