import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import type { Run } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { meQuery } from "../../app/queries";
import { useKeys } from "../../app/useKeys";
import { useReset } from "../../app/useReset";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useScopeName } from "../../app/useScopeName";
import { AwayList } from "../attendance/AwayList";
import { runQuery } from "./hear.queries";
import { CheckGrid } from "./CheckGrid";
import { milestoneName } from "./milestoneName";
import { PointsGrid } from "./PointsGrid";
import { RunDesk } from "./RunDesk";
import { RunQueue } from "./RunQueue";
import { SectionAtOnce } from "./SectionAtOnce";
import { openSecondScreen, useSecondScreen } from "./secondScreen";
import { useListeners } from "./useListeners";
import { useRun } from "./useRun";
import { useWith } from "./useWith";

/** Hearing students one after another, or a whole section at once. */
export function RunPage() {
  const { milestoneId = "" } = useParams();
  const { scope, allClasses } = useScope();
  const others = useWith();
  const run = useQuery(runQuery(milestoneId, scope, others.with));
  if (allClasses && !scope.instrument)
    return <Empty>Choose an instrument at the left to hear it in every class.</Empty>;
  if (run.isError) return <Failed error={run.error} again={() => void run.refetch()} />;
  if (!run.data) return <Skeleton rows={8} />;
  return <LiveRun key={run.dataUpdatedAt} run={run.data} />;
}

/** More than four at once are not heard one by one. */
const MOST_TOGETHER = 4;

function LiveRun({ run }: { run: Run }) {
  const name = useScopeName();
  const { search } = useScope();
  const onPaper = run.milestone.kind === "WRITTEN_CHECK";
  const [atOnce, setAtOnce] = useState(onPaper);
  /** How many are heard together; undefined for one by one. */
  const [group, setGroup] = useState<number>();
  const live = useRun(run);
  const others = useListeners(run, live);
  const { scope } = useScope();
  const me = useQuery(meQuery);
  const [takingAway, setTakingAway] = useState(false);
  const reset = useReset();
  useKeys({
    s: () => setAtOnce((on) => !on),
    g: () => setGroup((size) => (size === undefined ? 2 : size < MOST_TOGETHER ? size + 1 : undefined)),
    u: live.undo,
    l: () => setTakingAway(true),
    w: openSecondScreen,
  });
  useSecondScreen(run, live.state.queue);
  if (run.players.length === 0) {
    return (
      <>
        <Heading title={milestoneName(run.milestone)} />
        <Empty>
          Nobody among {name} can take this: it is for other instruments.{" "}
          <Link to={{ pathname: "/hear", search: scopeSearch(search, {}) }}>Choose something else</Link>
        </Empty>
      </>
    );
  }
  return (
    <div className="grid gap-x-[22px] gap-y-4 md:grid-cols-[232px_minmax(0,1fr)] md:min-h-[calc(100vh-140px)]">
      <RunQueue
        run={run}
        live={live}
        name={name}
        others={others}
        onAway={scope.classId ? () => setTakingAway(true) : undefined}
      />
      <section
        aria-label="Desk"
        className="flex min-w-0 flex-col md:border-l-[1.5px] md:border-[var(--hairline)] md:pl-[22px]"
      >
        {onPaper && run.milestone.criteria.length > 0 ? (
          <PointsGrid run={run} live={live} />
        ) : atOnce && run.milestone.kind === "TECHNIQUE_CHECK" ? (
          <CheckGrid run={run} live={live} onBack={() => setAtOnce(false)} />
        ) : atOnce ? (
          <SectionAtOnce run={run} live={live} onBack={() => setAtOnce(false)} />
        ) : group !== undefined ? (
          <SectionAtOnce key={group} run={run} live={live} group={group} onBack={() => setGroup(undefined)} />
        ) : (
          <RunDesk
            run={run}
            live={live}
            others={others}
            onAtOnce={() => setAtOnce(true)}
            onGroup={() => setGroup(2)}
          />
        )}
      </section>
      {reset.exercise}
      {takingAway && scope.classId && me.data && (
        <AwayList
          classId={scope.classId}
          className={name}
          on={me.data.today}
          onClose={() => setTakingAway(false)}
          onNote={(studentId, away) => live.noteAway(studentId, away)}
        />
      )}
    </div>
  );
}
