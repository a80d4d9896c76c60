import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate, useParams } from "react-router";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { Milestone, PlayingTest, PlayingTestPart } from "../../api/types";
import { libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";
import { Button, Chip, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { playingTestQuery } from "./tests.queries";

/** A playing test: what is played under which conditions, how it is rehearsed, scored and retaken. */
export function TestPage({ director }: { director: boolean }) {
  const { milestoneId = "" } = useParams();
  const { search, scope } = useScope();
  const kept = scopeSearch(search, {});
  const test = useQuery(playingTestQuery(milestoneId, scope.instrument, scope.division));
  const library = useQuery(libraryQuery);
  if (test.isError) return <Failed error={test.error} again={() => void test.refetch()} />;
  if (!test.data || !library.data) return <Skeleton rows={9} />;
  const told = test.data;
  const onShelf = library.data.milestones.some((one) => one.id === milestoneId);
  return (
    <>
      <Heading title={told.milestone.title} words={told.listeners === 2 ? "two listeners, blind" : undefined}>
        {director && <Shelving milestoneId={milestoneId} onShelf={onShelf} kept={kept} />}
        <Link
          className={`${looks.smallPrimary} font-semibold`}
          to={{ pathname: `/hear/${milestoneId}`, search: kept }}
        >
          Hear it
        </Link>
      </Heading>
      {!onShelf && (
        <Empty>This test is off the shelf: it is not ordered any more. What was heard stays.</Empty>
      )}
      <div className="mb-4 flex flex-wrap gap-2">
        {told.conditions.map((one) => (
          <Chip key={one}>{one}</Chip>
        ))}
      </div>
      <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
        <div className="grid content-start gap-5">
          {told.parts.map((part, i) => (
            <Part key={`${part.milestoneId} ${i}`} part={part} kept={kept} />
          ))}
          <Tones tones={told.tones} instrument={scope.instrument} />
        </div>
        <div className="grid content-start gap-5">
          <Scored milestone={told.milestone} />
          <section aria-label="Retakes">
            <h2 className="mb-1 text-[1.2rem]">What applies</h2>
            {told.retakes.map((one) => (
              <p key={one}>{one}</p>
            ))}
          </section>
        </div>
      </div>
    </>
  );
}

function Part({ part, kept }: { part: PlayingTestPart; kept: string }) {
  return (
    <section aria-label={part.title}>
      <h2 className="text-[1.2rem]">
        <Link
          className="no-underline hover:underline"
          to={{
            pathname: part.lineId ? `/library/lines/${part.lineId}` : `/library/checks/${part.milestoneId}`,
            search: kept,
          }}
        >
          {part.title}
        </Link>
      </h2>
      <p>
        {[part.lineId ? (part.measures ?? "the whole line") : "looked at on the way", ...part.otherwise].join(
          ", ",
        )}
        <span className="small soft"> · {part.seconds} s</span>
      </p>
      {part.stages.length > 0 && (
        <>
          <p className="small soft mt-1.5">Rehearsed in stages, one a week up to the day:</p>
          <ol className="grid gap-x-4 sm:grid-cols-2">
            {part.stages.map((stage) => (
              <li
                key={stage.stage}
                className="flex justify-between gap-3 border-b border-[var(--hairline)] py-0.5"
              >
                <Link
                  to={{
                    pathname: `/library/lines/${part.lineId}`,
                    search: withMeasures(kept, stage.from, stage.to),
                  }}
                >
                  {stage.name}
                </Link>
                <span className="small soft">{stage.measures}</span>
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}

/** The line with its practice ladder for one passage. */
function withMeasures(search: string, from: number, to: number): string {
  const params = new URLSearchParams(search);
  params.set("from", String(from));
  params.set("to", String(to));
  return `?${params}`;
}

function Tones({ tones, instrument }: { tones: PlayingTest["tones"]; instrument?: string }) {
  const shown = instrument ? tones.filter((tone) => tone.instrument === instrument) : tones;
  if (shown.length === 0) return null;
  return (
    <details open={Boolean(instrument)}>
      <summary className="cursor-pointer font-semibold">Pitch check, as each section reads it</summary>
      <p className="mt-1">
        {shown.map((tone) => `${tone.instrumentName} ${tone.written.replace(/ \d$/, "")}`).join(" · ")}
      </p>
    </details>
  );
}

function Scored({ milestone }: { milestone: Milestone }) {
  return (
    <section aria-label="Rubric">
      <h2 className="mb-1 text-[1.2rem]">Rubric, passes by {milestone.passRule}</h2>
      {milestone.criteria.map((criterion) => (
        <div key={criterion.ordinal} className="border-b border-[var(--hairline)] py-1.5">
          <p className="flex flex-wrap justify-between gap-x-4">
            <b>{criterion.name}</b>
            <span className="small soft">
              up to {criterion.topPoints}
              {criterion.floorPoints !== undefined && `, at least ${criterion.floorPoints}`}
              {criterion.weight > 1 && `, weight ${criterion.weight}`}
            </span>
          </p>
          {criterion.levels.length > 0 && (
            <ol className="small grid gap-x-3" start={0}>
              {criterion.levels.map((level, points) => (
                <li key={points} className="grid grid-cols-[1rem_1fr] gap-2">
                  <b className="tabular-nums">{points}</b>
                  <span>{level}</span>
                </li>
              ))}
            </ol>
          )}
        </div>
      ))}
    </section>
  );
}

function Shelving({ milestoneId, onShelf, kept }: { milestoneId: string; onShelf: boolean; kept: string }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const shelve = useMutation({
    mutationFn: (retire: boolean) =>
      post<void>(
        retire
          ? at("/api/playing-tests/{milestoneId}/retire", { milestoneId })
          : at("/api/playing-tests/{milestoneId}/restore", { milestoneId }),
        {},
      ),
    onSuccess: async (_, retire) => {
      toast(retire ? "Off the shelf; orders and results stay" : "Back on the shelf", () =>
        shelve.mutate(!retire),
      );
      await client.invalidateQueries({ queryKey: ["library"] });
    },
  });
  const copy = useMutation({
    mutationFn: () =>
      post<{ milestoneId: string }>(at("/api/playing-tests/{milestoneId}/copy", { milestoneId }), {}),
    onSuccess: async (made) => {
      await client.invalidateQueries({ queryKey: ["library"] });
      await navigate({ pathname: `/library/tests/${made.milestoneId}/edit`, search: kept });
    },
  });
  const failed = shelve.error ?? copy.error;
  return (
    <>
      {failed && <span className="text-error small font-semibold">{failed.message}</span>}
      <Link
        className={`${looks.smallButton} font-semibold`}
        to={{ pathname: `/library/tests/${milestoneId}/edit`, search: kept }}
      >
        Edit
      </Link>
      <Button small onClick={() => copy.mutate()}>
        Copy
      </Button>
      <Button small look="quiet" onClick={() => shelve.mutate(onShelf)}>
        {onShelf ? "Take off the shelf" : "Put back"}
      </Button>
    </>
  );
}
