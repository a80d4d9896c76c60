import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { Link } from "react-router";
import type { LibraryView, Milestone, MilestoneKind } from "../../api/types";
import { instrumentsQuery, libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { LadderStart, TestStart } from "../start/TemplatesStart";
import { BookShelf } from "./BookShelf";
import { retiredQuery } from "./checks.queries";
import { kindPlural } from "./kinds";
import { Starters } from "./Starters";
import { looks } from "../../ui/looks";

const shelves = ["LINE", "TECHNIQUE_CHECK", "STARTERS", "PLAYING_TEST", "WRITTEN_CHECK", "BELT"] as const;

/** What can be ordered: lines, technique checks, playing tests and belts. */
export function LibraryPage({ director }: { director: boolean }) {
  const library = useQuery(libraryQuery);
  const [shelf, setShelf] = useState<MilestoneKind | "STARTERS">("LINE");
  return (
    <>
      <Heading title="Library">
        <div role="tablist" aria-label="Shelves" className="flex flex-wrap gap-1">
          {shelves.map((kind) => (
            <button
              key={kind}
              type="button"
              role="tab"
              aria-selected={shelf === kind}
              onClick={() => setShelf(kind)}
              className={clsx(
                "rounded-lg border-[1.5px] px-3 py-1",
                shelf === kind
                  ? "bg-neutral text-neutral-content border-neutral"
                  : "hairline hover:bg-base-200",
              )}
            >
              {kind === "STARTERS" ? "Starter checks" : kindPlural[kind]}
            </button>
          ))}
        </div>
      </Heading>
      {library.isLoading && <Skeleton rows={10} />}
      {library.isError && <Failed error={library.error} again={() => void library.refetch()} />}
      {shelf === "STARTERS" && <Starters director={director} />}
      {shelf === "TECHNIQUE_CHECK" && director && <OwnChecks />}
      {shelf === "PLAYING_TEST" && director && <NewTests />}
      {shelf === "WRITTEN_CHECK" && director && <NewWritten />}
      {shelf === "BELT" && director && <OwnLadders />}
      {library.data && shelf !== "STARTERS" && (
        <Shelf library={library.data} kind={shelf} director={director} />
      )}
    </>
  );
}

/** Building a test, and the rubrics it can be scored on. */
function NewTests() {
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  return (
    <div className="mb-2 flex flex-wrap gap-2">
      <Link className={looks.smallPrimary} to={{ pathname: "/library/tests/new", search: kept }}>
        Build a playing test
      </Link>
      <Link className={looks.smallButton} to={{ pathname: "/library/rubrics", search: kept }}>
        Rubrics
      </Link>
    </div>
  );
}

/** Making ladders, and editing those there are. */
function OwnLadders() {
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  return (
    <div className="mb-2 flex flex-wrap gap-2">
      <Link className={looks.smallPrimary} to={{ pathname: "/library/ladders", search: kept }}>
        Edit ladders
      </Link>
      <Link className={looks.smallButton} to={{ pathname: "/library/ladders/new", search: kept }}>
        New ladder
      </Link>
    </div>
  );
}

function NewWritten() {
  const { search } = useScope();
  return (
    <p className="mb-2">
      <Link
        className={looks.smallPrimary}
        to={{ pathname: "/library/written/new", search: scopeSearch(search, {}) }}
      >
        Make a written check
      </Link>
    </p>
  );
}

/** Writing one's own, and what was taken off the shelf. */
function OwnChecks() {
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const retired = useQuery(retiredQuery);
  return (
    <div className="mb-2 flex flex-wrap items-center gap-x-6 gap-y-1">
      <Link className={looks.smallPrimary} to={{ pathname: "/library/checks/new", search: kept }}>
        Write a check
      </Link>
      {retired.data && retired.data.length > 0 && (
        <p className="small">
          <span className="soft">Off the shelf: </span>
          {retired.data.map((one, i) => (
            <span key={one.milestoneId}>
              {i > 0 && ", "}
              <Link to={{ pathname: `/library/checks/${one.milestoneId}`, search: kept }}>{one.title}</Link>
            </span>
          ))}
        </p>
      )}
    </div>
  );
}

function Shelf({
  library,
  kind,
  director,
}: {
  library: LibraryView;
  kind: MilestoneKind;
  director: boolean;
}) {
  const items = library.milestones.filter((m) => m.kind === kind);
  if (kind === "LINE") return <BookShelf lines={items} director={director} />;
  if (items.length === 0) {
    return (
      <>
        <Empty>
          This shelf is empty.{director && " A template begins it; everything in it can be edited later."}
        </Empty>
        {director && kind === "BELT" && <LadderStart />}
        {director && kind === "PLAYING_TEST" && <TestStart />}
      </>
    );
  }
  if (kind === "BELT") return <Belts library={library} />;
  return <Criteria items={items} />;
}

const pages: Record<MilestoneKind, string> = {
  LINE: "lines",
  TECHNIQUE_CHECK: "checks",
  PLAYING_TEST: "tests",
  WRITTEN_CHECK: "written",
  FREE_CHOICE: "belts",
  BELT: "belts",
};

function Criteria({ items }: { items: Milestone[] }) {
  const instruments = useQuery(instrumentsQuery);
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const names = new Map(instruments.data?.map((i) => [i.code, i.name]));
  return (
    <ul className="grid gap-x-10 md:grid-cols-2">
      {items.map((m) => (
        <li key={m.id} className="border-b border-[var(--hairline)] py-3">
          <h2 className="text-[1.15rem]">
            <Link to={{ pathname: `/library/${pages[m.kind]}/${m.id}`, search: kept }}>{m.title}</Link>
          </h2>
          <p className="small soft mb-1.5">
            {m.appliesTo.length === 0
              ? "every instrument"
              : m.appliesTo.map((code) => names.get(code) ?? code).join(", ")}
            {" · passes by "}
            {m.passRule}
          </p>
          {m.conditions && <p className="mb-1.5">{m.conditions}.</p>}
          <ol className="list-inside list-decimal">
            {m.criteria.map((c) => (
              <li key={c.ordinal}>
                {c.name}
                {c.topPoints > 1 && (
                  <span className="small soft">
                    {" "}
                    up to {c.topPoints}
                    {c.floorPoints !== undefined && `, at least ${c.floorPoints}`}
                  </span>
                )}
              </li>
            ))}
          </ol>
        </li>
      ))}
    </ul>
  );
}

function Belts({ library }: { library: LibraryView }) {
  const titles = new Map(
    library.milestones.map((m) => [m.id, m.kind === "LINE" ? `line ${m.shortName}` : m.title]),
  );
  const ladders = [...new Set(library.belts.map((belt) => belt.ladder))];
  return (
    <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
      {ladders.map((ladder) => (
        <section key={ladder} aria-label={`${ladder} ladder`}>
          <h2 className="mb-2 text-[1.3rem]">{ladder[0]!.toUpperCase() + ladder.slice(1)} ladder</h2>
          <ol>
            {library.belts
              .filter((belt) => belt.ladder === ladder)
              .map((belt) => (
                <li
                  key={belt.id}
                  className="grid grid-cols-[126px_6rem_1fr] items-center gap-x-3 border-b border-[var(--hairline)] py-2"
                >
                  <BeltStrip belt={belt} width={126} />
                  <b>{belt.name}</b>
                  <span className="soft small">
                    {belt.slots
                      .map((slot) => slotWords(slot.name, Object.values(slot.fillings), titles))
                      .join(" · ")}
                  </span>
                </li>
              ))}
          </ol>
        </section>
      ))}
    </div>
  );
}

function slotWords(name: string, fillings: string[], titles: Map<string, string>): string {
  const kinds = new Set(fillings);
  if (kinds.size > 1) return `${name}, by instrument`;
  const only = titles.get(fillings[0] ?? "");
  return only && only.toLowerCase() !== name.toLowerCase() && !only.includes(name)
    ? `${name}: ${only}`
    : name;
}
