import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { Choice } from "../../api/types";
import { weekday } from "../../app/days";
import { useScopeName } from "../../app/useScopeName";
import { scopeSearch, useScope } from "../../app/scope";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { kindName } from "../library/kinds";
import { choicesQuery } from "./hear.queries";
import { GoingOn } from "./GoingOn";
import { milestoneName } from "./milestoneName";

/** What to hear in the section chosen, the most pressing first. */
export function HearPage() {
  const { scope, allClasses } = useScope();
  const name = useScopeName();
  const choices = useQuery(choicesQuery(scope));
  return (
    <>
      <Heading
        title={`Hear ${name}`}
        words="Choose what to hear. The queue is in fair order: longest unheard first."
      />
      {allClasses && !scope.instrument && (
        <Empty>Choose an instrument at the left to hear it in every class.</Empty>
      )}
      <GoingOn choices={choices.data ?? []} />
      {choices.isLoading && <Skeleton />}
      {choices.isError && <Failed error={choices.error} again={() => void choices.refetch()} />}
      {choices.data?.length === 0 && <Empty>Nothing is set for {name} yet. Order something in Season.</Empty>}
      {choices.data && choices.data.length > 0 && (
        <ul className="hairline divide-y divide-[var(--hairline)] border-y">
          {choices.data.map((choice) => (
            <ChoiceRow key={choice.milestoneId} choice={choice} />
          ))}
        </ul>
      )}
    </>
  );
}

function ChoiceRow({ choice }: { choice: Choice }) {
  const { search } = useScope();
  const done = choice.open === 0;
  return (
    <li>
      <Link
        to={{ pathname: `/hear/${choice.milestoneId}`, search: scopeSearch(search, {}) }}
        className="hover:bg-base-200 grid grid-cols-[1fr_auto] items-center gap-x-5 px-2 py-2 no-underline sm:grid-cols-[1fr_9rem_8rem_9rem]"
      >
        <span className={done ? "soft" : "font-semibold"}>{milestoneName(choice)}</span>
        <span className="small soft hidden sm:block">{kindName[choice.kind]}</span>
        <span className="small soft hidden sm:block">due {weekday(choice.dueOn)}</span>
        <span className="small text-right">
          {done ? "all heard" : <b>{choice.open} to hear</b>}
          <span className="soft">
            {" "}
            · {choice.passed} of {choice.asked}
          </span>
        </span>
      </Link>
    </li>
  );
}
