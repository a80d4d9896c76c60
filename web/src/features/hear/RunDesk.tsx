import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useEffect, useReducer, useState } from "react";
import type { Evidence, Outcome, Player, Run } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { useSeesEverybody } from "../../app/role";
import { StudentName } from "../../app/StudentName";
import { useKeys } from "../../app/useKeys";
import { Chip } from "../../ui/parts";
import { playingTestQuery } from "../playingtests/tests.queries";
import { ReportPain } from "../wellbeing/ReportPain";
import { AllHeard } from "./AllHeard";
import { AlsoHeard } from "./AlsoHeard";
import { besideReducer, besideToSend, measuresOf, nothingBeside } from "./beside";
import { BeltStripOfStudent } from "./BeltStripOfStudent";
import { CriteriaMarks } from "./CriteriaMarks";
import { DeskFoot } from "./DeskFoot";
import { ExcuseReasons } from "./ExcuseReasons";
import { FaultTags } from "./FaultTags";
import { Guidance } from "./Guidance";
import { choicesQuery } from "./hear.queries";
import { LineCard } from "./LineCard";
import { OtherListener } from "./OtherListener";
import { OutcomeKeys } from "./OutcomeKeys";
import { TempoTap } from "./TempoTap";
import { TestCard } from "./TestCard";
import { TriesSoFar } from "./TriesSoFar";
import { useVariants, VariantPick } from "./VariantPick";
import { WhatToTry } from "./WhatToTry";
import { markingOf, nextCriterion, outcomeWords, playerPlace, wordedBy } from "./run";
import type { useListeners } from "./useListeners";
import type { Excuse, useRun } from "./useRun";

/** With the renderer, which comes only where a line is heard; away from the server hearing goes on without it. */
const HeardLine = lazy(() =>
  import("./HeardLine").then(
    (module) => ({ default: module.HeardLine }),
    () => ({ default: () => null }),
  ),
);

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
  others: ReturnType<typeof useListeners>;
  onAtOnce: () => void;
  onGroup: () => void;
}

const tapNow = () => ({ type: "tap", at: performance.now() }) as const;

/** The desk's digits belong to one thing at a time. */
type Digits = "criteria" | "faults";

/** The student in front of you: what is played, what was tried, and one key for what came of it. */
export function RunDesk({ run, live, others, onAtOnce, onGroup }: Props) {
  const { state, dispatch, record, undo } = live;
  const [evidence, setEvidence] = useState<Evidence>("LIVE_ALONE");
  const [note, setNote] = useState<string>();
  const [hurting, setHurting] = useState<string>();
  const [piece, setPiece] = useState("");
  const [beside, noteBeside] = useReducer(besideReducer, nothingBeside);
  const [also, setAlso] = useState<ReadonlySet<string>>(new Set());
  const { search, scope } = useScope();
  const player = run.players.find((p) => p.studentId === state.queue[0]);
  const next = run.players.find((p) => p.studentId === state.queue[1]);
  const marking = markingOf(run.milestone);
  const isCheck = run.milestone.kind === "TECHNIQUE_CHECK";
  const isTest = run.milestone.kind === "PLAYING_TEST";
  const ownPiece = run.milestone.kind === "FREE_CHOICE";
  const lineId = run.milestone.line?.lineId;
  const test = useQuery({
    ...playingTestQuery(run.milestone.id, player?.instrument, player?.division),
    enabled: isTest && Boolean(player),
  });
  const [digitsFor, setDigitsFor] = useState<Digits>(marking === "ear" ? "faults" : "criteria");
  const choices = useQuery({ ...choicesQuery(scope), enabled: marking === "ear" });
  const lines = (choices.data ?? []).filter(
    (choice) => choice.kind === "LINE" && choice.milestoneId !== run.milestone.id,
  );
  const atDesk = player?.studentId;
  // What was noted of one student is none of the next one's.
  useEffect(() => noteBeside({ type: "clear" }), [atDesk]);
  const everybody = useSeesEverybody();
  const variants = useVariants(run.milestone.id, isCheck);
  const complete = marking !== "points" || nextCriterion(run.milestone, state.marks) === undefined;
  const mark = (outcome: Outcome, excuse?: Excuse) => {
    if (!player) return;
    record(
      player,
      outcome,
      evidence,
      {
        ...excuse,
        ...besideToSend(beside),
        note: note?.trim() || undefined,
        substitute: ownPiece || evidence === "SUBSTITUTE" ? piece.trim() || undefined : undefined,
      },
      [...also],
    );
    noteBeside({ type: "clear" });
    setNote(undefined);
    if (ownPiece) setPiece("");
  };
  const pass = () => complete && mark("PASS");
  const digit = (n: number) => {
    if (digitsFor === "faults") {
      const sign = player?.faults[n - 1];
      if (sign) noteBeside({ type: "fault", sign });
    } else if (marking === "points") {
      const ordinal = nextCriterion(run.milestone, state.marks);
      const top = run.milestone.criteria.find((c) => c.ordinal === ordinal)?.topPoints ?? 0;
      if (ordinal && n <= top) dispatch({ type: "mark", ordinal, points: n });
    } else if (marking === "seen" && run.milestone.criteria.some((c) => c.ordinal === n)) {
      dispatch({ type: "mark", ordinal: n, points: state.marks.get(n) === 0 ? 1 : 0 });
    }
  };
  const digits = Object.fromEntries(Array.from({ length: 9 }, (_, i) => [String(i + 1), () => digit(i + 1)]));
  useKeys(
    state.excusing
      ? { Escape: () => dispatch({ type: "excuse", asking: false }) }
      : {
          ...digits,
          "0": () => digit(0),
          Enter: () => pass(),
          " ": () => (marking === "points" ? undefined : mark("NOT_YET")),
          a: () => mark("ABSENT"),
          x: () => player && dispatch({ type: "excuse", asking: true }),
          p: () => player && setHurting(player.studentId),
          n: () => setNote((typed) => typed ?? ""),
          b: () => noteBeside(tapNow()),
          f: () => marking !== "ear" && setDigitsFor((now) => (now === "faults" ? "criteria" : "faults")),
          ArrowDown: () => dispatch({ type: "move", step: 1 }),
          ArrowUp: () => dispatch({ type: "move", step: -1 }),
        },
  );
  if (!player) return <AllHeard run={run} live={live} onAtOnce={onAtOnce} />;
  const triesOf = live.standings.get(player.studentId)?.tries ?? 0;
  const last = state.made.at(-1);
  const lastName = run.players.find((p) => p.studentId === last?.studentId)?.name;
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-3.5 gap-y-1" aria-live="polite">
        <h2 className="text-[2.2rem]">
          <StudentName
            className="no-underline hover:underline"
            studentId={player.studentId}
            name={player.name}
            search={scopeSearch(search, {})}
          />
        </h2>
        <Chip>{playerPlace(player)}</Chip>
        {player.alsoIn.map((other) => (
          <Chip key={other}>also in {other}</Chip>
        ))}
        <span className="small soft ml-auto">{whenHeard(player, triesOf)}</span>
      </div>
      <OtherListener name={player.name} others={others} studentId={player.studentId} />
      {isTest ? (
        <TestCard run={run} player={player} test={test.data} />
      ) : (
        <LineCard milestone={run.milestone} player={player} countInMeasures={run.countInMeasures} />
      )}
      {lineId && (
        <Suspense fallback={null}>
          <HeardLine
            lineId={lineId}
            player={player}
            low={marking !== "ear"}
            played={isTest ? test.data?.parts.find((part) => part.lineId === lineId)?.played : undefined}
            noted={measuresOf(beside)}
            onMeasure={(number) => noteBeside({ type: "measure", number })}
          />
        </Suspense>
      )}
      {isCheck && variants.offered.length > 0 && (
        <div className="mb-3 flex flex-wrap items-center gap-x-3">
          <span className="soft">Uses</span>
          <VariantPick key={player.studentId} player={player} variants={variants} />
          {variants.stepsOf(player.studentId) && (
            <span className="small soft">{variants.stepsOf(player.studentId)?.[0]}</span>
          )}
        </div>
      )}
      {isCheck && <Guidance milestoneId={run.milestone.id} player={player} tries={triesOf} />}
      {marking !== "ear" && (
        <CriteriaMarks
          milestone={wordedBy(run.milestone, variants.criteriaOf(player.studentId))}
          marks={state.marks}
          onMark={(ordinal, points) => dispatch({ type: "mark", ordinal, points })}
        />
      )}
      <div className="mb-2.5 flex flex-wrap items-center gap-1.5">
        <FaultTags
          signs={player.faults}
          noted={beside.faults}
          digits={digitsFor === "faults"}
          onDigits={() => setDigitsFor("faults")}
          onToggle={(sign) => noteBeside({ type: "fault", sign })}
        />
        {run.milestone.line && (
          <TempoTap
            taps={beside.taps}
            goal={test.data?.tempoBpm ?? run.milestone.line.tempoBpm}
            within={test.data && [test.data.slowestBpm, test.data.fastestBpm]}
            onTap={() => noteBeside(tapNow())}
          />
        )}
        <AlsoHeard
          choices={lines}
          also={also}
          onToggle={(id) =>
            setAlso((all) =>
              all.has(id) ? new Set([...all].filter((one) => one !== id)) : new Set([...all, id]),
            )
          }
        />
      </div>
      {state.excusing ? (
        <ExcuseReasons
          name={player.name}
          onReason={(excuse) => mark("EXCUSED", excuse)}
          onBack={() => dispatch({ type: "excuse", asking: false })}
        />
      ) : (
        <OutcomeKeys
          marking={marking}
          milestone={run.milestone}
          marks={state.marks}
          next={next?.name}
          onPass={pass}
          onOutcome={mark}
          onExcuse={() => dispatch({ type: "excuse", asking: true })}
        />
      )}
      <DeskFoot
        lastDone={last && `${lastName} ${outcomeWords[last.outcome]}`}
        onUndo={undo}
        note={note}
        onNote={setNote}
        onPain={() => setHurting(player.studentId)}
        evidence={evidence}
        onEvidence={setEvidence}
        piece={piece}
        onPiece={setPiece}
        ownPiece={ownPiece}
        substituteCounts={player.outlook.counting.includes("SUBSTITUTE")}
        together={marking === "points" ? undefined : { onAtOnce, onGroup }}
      />
      {hurting === player.studentId && (
        <ReportPain key={player.studentId} player={player} onDone={() => setHurting(undefined)} />
      )}
      {isCheck && everybody && (
        <WhatToTry key={`try ${player.studentId}`} milestoneId={run.milestone.id} player={player} />
      )}
      {everybody && (
        <TriesSoFar
          studentId={player.studentId}
          milestoneId={run.milestone.id}
          blind={(test.data?.listeners ?? 1) > 1}
        />
      )}
      <BeltStripOfStudent studentId={player.studentId} milestoneId={run.milestone.id} />
    </>
  );
}

function whenHeard(player: Player, tries: number): string {
  const tried = tries === 0 ? "first try" : `try ${tries + 1}`;
  if (player.daysSinceHeard === undefined) return `not heard yet · ${tried}`;
  return player.daysSinceHeard === 0
    ? `heard today · ${tried}`
    : `last heard ${player.daysSinceHeard} d ago · ${tried}`;
}
