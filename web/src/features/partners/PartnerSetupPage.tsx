import { at } from "../../api/at";
import { useMutation, useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { v7 as newId } from "uuid";
import { post } from "../../api/http";
import type { NewPartnerCheck, Pairing, Partner, PartnerProposal } from "../../api/types";
import { weekday } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { useScopeName } from "../../app/useScopeName";
import { Cell } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { Caution } from "./Caution";
import { MeasuresByPart } from "./MeasuresByPart";
import { measuresOf, pairingNames, pairingWords, swapped, type MeasuresTyped } from "./partners";
import { earlierQuery, proposalQuery } from "./partners.queries";
import { looks } from "../../ui/looks";

/** Who watches whom, and what for: proposed, changed by a tap, set up by one press. */
export function PartnerSetupPage() {
  const { milestoneId = "" } = useParams();
  const { scope, allClasses, search } = useScope();
  const name = useScopeName();
  const [pairing, setPairing] = useState<Pairing>("FAIR");
  const proposal = useQuery(proposalQuery(milestoneId, scope, pairing));
  const earlier = useQuery(earlierQuery(scope.classId));
  const kept = scopeSearch(search, {});
  if (allClasses) return <Empty>Partners sit in one class: choose a class at the left.</Empty>;
  return (
    <>
      <Heading
        title={`Partner check, ${name}`}
        words={
          proposal.data && `${proposal.data.milestoneTitle}. One plays, the partner watches, then they swap.`
        }
      >
        <Link
          className={`${looks.button} h-9 min-h-0`}
          to={{ pathname: `/hear/${milestoneId}`, search: kept }}
        >
          Hear them yourself
        </Link>
      </Heading>
      <div
        role="radiogroup"
        aria-label="How partners are found"
        className="mb-4 flex flex-wrap items-center gap-2"
      >
        {(Object.keys(pairingNames) as Pairing[]).map((way) => (
          <button
            key={way}
            type="button"
            role="radio"
            aria-checked={pairing === way}
            onClick={() => setPairing(way)}
            className={clsx(
              "rounded-lg border-[1.5px] px-3 py-1.5",
              pairing === way
                ? "bg-neutral text-neutral-content border-neutral"
                : "hairline hover:bg-base-200",
            )}
          >
            {pairingNames[way]}
          </button>
        ))}
        <span className="small soft">{pairingWords[pairing]}</span>
      </div>
      {proposal.isError && <Failed error={proposal.error} />}
      {proposal.isPending && <Skeleton rows={8} />}
      {proposal.data && (
        <Setup
          key={proposal.dataUpdatedAt}
          milestoneId={milestoneId}
          pairing={pairing}
          proposal={proposal.data}
        />
      )}
      {earlier.data && earlier.data.length > 0 && (
        <section aria-label="Earlier partner checks" className="mt-6">
          <h2 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">
            Earlier in this class
          </h2>
          <ul className="flex flex-wrap gap-x-6 gap-y-1">
            {earlier.data.slice(0, 8).map((one) => (
              <li key={one.id}>
                <Link to={{ pathname: `/hear/partners/${one.id}`, search: kept }}>{one.milestoneTitle}</Link>
                <span className="small soft">
                  {" "}
                  {weekday(one.heldOn)}, {one.students} students
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

interface SetupProps {
  milestoneId: string;
  pairing: Pairing;
  proposal: PartnerProposal;
}

function Setup({ milestoneId, pairing, proposal }: SetupProps) {
  const { scope, search } = useScope();
  const navigate = useNavigate();
  const [id] = useState(() => newId());
  const [groups, setGroups] = useState<Partner[][]>(() => proposal.groups.map((g) => g.members));
  const [held, setHeld] = useState<string>();
  const [watch, setWatch] = useState(() => [...proposal.watch, "", "", ""].slice(0, 4));
  const [measures, setMeasures] = useState<ReadonlyMap<string, MeasuresTyped>>(new Map());
  const make = useMutation({
    mutationFn: () =>
      post<void>(at("/api/partner-checks"), {
        id,
        milestoneId,
        scope,
        pairing,
        watch,
        measures: measuresOf(measures),
        groups: groups.map((group) => group.map((p) => p.studentId)),
      } satisfies NewPartnerCheck),
    onSuccess: () => navigate({ pathname: `/hear/partners/${id}`, search: scopeSearch(search, {}) }),
  });
  const tap = (studentId: string) => {
    if (held && held !== studentId) setGroups(swapped(groups, held, studentId));
    setHeld(held ? undefined : studentId);
  };
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-label="Partners">
        <p className="small soft mb-2">
          {held
            ? "Now tap with whom to change places."
            : "Tap two names to let them change places. The first plays first."}
        </p>
        <ol className="grid gap-2 sm:grid-cols-2">
          {groups.map((group, i) => (
            <li key={i} className="hairline grid content-start gap-1 rounded-xl border-[1.5px] p-2">
              {group.map((p) => (
                <button
                  key={p.studentId}
                  type="button"
                  aria-pressed={held === p.studentId}
                  onClick={() => tap(p.studentId)}
                  className="aria-pressed:bg-neutral aria-pressed:text-neutral-content hover:bg-base-200 flex min-h-9 items-baseline justify-between gap-2 rounded-lg px-2 py-1 text-left"
                >
                  <span className="font-semibold">{p.name}</span>
                  {proposal.parts.length > 1 && (
                    <span className="small">{p.division || p.instrumentName}</span>
                  )}
                </button>
              ))}
              {group.length === 3 && <span className="small soft px-2">three take turns, two watch</span>}
            </li>
          ))}
        </ol>
      </section>
      <div className="grid content-start gap-5">
        <fieldset>
          <legend className="mb-1.5 font-semibold">Watch for three or four things</legend>
          <ol className="grid gap-2">
            {watch.map((point, i) => (
              <li key={i} className="grid grid-cols-[1.2rem_1fr] items-center gap-2">
                <span className="display text-lg">{i + 1}</span>
                <Cell
                  aria-label={`Point ${i + 1}`}
                  maxLength={120}
                  value={point}
                  onChange={(event) =>
                    setWatch(watch.map((other, at) => (at === i ? event.target.value : other)))
                  }
                />
              </li>
            ))}
          </ol>
        </fieldset>
        {proposal.measures !== undefined && (
          <MeasuresByPart
            parts={proposal.parts}
            measures={proposal.measures}
            typed={measures}
            onType={(key, change) => setMeasures(new Map(measures).set(key, change))}
          />
        )}
        <Caution />
        {make.isError && <Failed error={make.error} />}
        <Button look="primary" disabled={make.isPending} onClick={() => make.mutate()}>
          Set up for {groups.flat().length} students
        </Button>
      </div>
    </div>
  );
}
