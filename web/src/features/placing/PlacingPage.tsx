import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import type { Placing, PlacingOption } from "../../api/types";
import { shortDay } from "../../app/days";
import { studentsQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";
import { Failed, Heading, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { placingQuery } from "./placing.queries";
import { aspects, grew } from "./placingWords";
import { TwoWays } from "./TwoWays";
import { Decide } from "./Decide";
import { TrialForm } from "./TrialForm";
import { Trials } from "./Trials";

/** Which instrument suits a student: tried over weeks, side by side, without a score. The decision stays with people. */
export function PlacingPage() {
  const { studentId = "" } = useParams();
  const placing = useQuery(placingQuery(studentId));
  const students = useQuery(studentsQuery);
  const { search } = useScope();
  const name = students.data?.find((one) => one.id === studentId)?.name ?? "";
  if (placing.isError) return <Failed error={placing.error} again={() => void placing.refetch()} />;
  if (!placing.data) return <Skeleton rows={8} />;
  return (
    <>
      <Heading title={`Placing ${name}`} words="Nothing is scored; what is decided is decided by people.">
        <Link
          className={looks.smallButton}
          to={{ pathname: `/roster/students/${studentId}`, search: scopeSearch(search, {}) }}
        >
          Folder
        </Link>
      </Heading>
      <div className="grid gap-x-10 gap-y-7 xl:grid-cols-2">
        <div className="grid content-start gap-7">
          <Options placing={placing.data} />
          <Trials studentId={studentId} trials={placing.data.trials} />
          <Decide studentId={studentId} placing={placing.data} />
        </div>
        <div className="grid content-start gap-7">
          <TrialForm studentId={studentId} />
          <TwoWays studentId={studentId} compared={placing.data.compared} />
        </div>
      </div>
    </>
  );
}

function Options({ placing }: { placing: Placing }) {
  if (placing.options.length === 0) {
    return (
      <p className="soft">
        Nothing was tried yet. Three trials of an instrument, spread over a week or more, make a fair one.
      </p>
    );
  }
  return (
    <section aria-label="Options side by side">
      <h2 className="mb-1 text-[1.2rem]">Side by side</h2>
      <ul>
        {placing.options.map((option) => (
          <Option key={option.instrument} option={option} />
        ))}
      </ul>
    </section>
  );
}

function Option({ option }: { option: PlacingOption }) {
  return (
    <li className="border-t border-[var(--hairline)] py-2">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <b>{option.instrumentName}</b>
        <span className="small soft">
          {counted(option.trials, "trial")}, {shortDay(option.from)}
          {option.to !== option.from && ` to ${shortDay(option.to)}`} · {option.seated}{" "}
          {option.seated === 1 ? "plays" : "play"} it
          {option.wanted !== undefined && `, ${option.wanted} wanted`}
        </span>
      </p>
      <p className="flex flex-wrap gap-x-5">
        {option.seen.map((seen) => {
          const words = aspects.find((one) => one.aspect === seen.aspect.toLowerCase());
          return (
            <span key={seen.aspect} title={words && `1 ${words.least}, 4 ${words.most}`}>
              {words?.name} <b>{grew(seen.first, seen.last)}</b>
            </span>
          );
        })}
      </p>
      <ul>
        {option.remarks.map((remark) => (
          <li key={remark.remark} className="small">
            {remark.sentence}
          </li>
        ))}
      </ul>
    </li>
  );
}
