import { useState } from "react";
import { Link } from "react-router";
import type { Evidence, Outcome, Player, Run } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { Button, Chip, Kbd } from "../../ui/parts";
import { BeltStripOfStudent } from "./BeltStripOfStudent";
import { CriteriaMarks } from "./CriteriaMarks";
import { ExcuseReasons } from "./ExcuseReasons";
import { LineCard } from "./LineCard";
import { OutcomeKeys } from "./OutcomeKeys";
import { markingOf, nextCriterion, outcomeWords, playerPlace } from "./run";
import type { Excuse, useRun } from "./useRun";

interface Props {
  run: Run;
  live: ReturnType<typeof useRun>;
  onAtOnce: () => void;
}

/** The student in front of you: what is played, what was tried, and one key for what came of it. */
export function RunDesk({ run, live, onAtOnce }: Props) {
  const { state, dispatch, record, undo } = live;
  const [evidence, setEvidence] = useState<Evidence>("LIVE_ALONE");
  const { search } = useScope();
  const player = run.players.find((p) => p.studentId === state.queue[0]);
  const next = run.players.find((p) => p.studentId === state.queue[1]);
  const marking = markingOf(run.milestone);
  const complete = marking !== "points" || nextCriterion(run.milestone, state.marks) === undefined;
  const mark = (outcome: Outcome, excuse?: Excuse) => player && record(player, outcome, evidence, excuse);
  const pass = () => complete && mark("PASS");
  const digit = (n: number) => {
    if (marking === "points") {
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
          ArrowDown: () => dispatch({ type: "move", step: 1 }),
          ArrowUp: () => dispatch({ type: "move", step: -1 }),
        },
  );
  if (!player) return <AllHeard run={run} live={live} onAtOnce={onAtOnce} />;
  const last = state.made.at(-1);
  const lastName = run.players.find((p) => p.studentId === last?.studentId)?.name;
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-3.5 gap-y-1" aria-live="polite">
        <h2 className="text-[2.2rem]">
          <Link
            className="no-underline hover:underline"
            to={{ pathname: `/roster/students/${player.studentId}`, search: scopeSearch(search, {}) }}
          >
            {player.name}
          </Link>
        </h2>
        <Chip>{playerPlace(player)}</Chip>
        {player.alsoIn.map((other) => (
          <Chip key={other}>also in {other}</Chip>
        ))}
        <span className="small soft ml-auto">
          {whenHeard(player, live.standings.get(player.studentId)?.tries ?? 0)}
        </span>
      </div>
      <LineCard milestone={run.milestone} player={player} />
      {marking !== "ear" && (
        <CriteriaMarks
          milestone={run.milestone}
          marks={state.marks}
          onMark={(ordinal, points) => dispatch({ type: "mark", ordinal, points })}
        />
      )}
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
      <div className="small soft mt-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <button type="button" disabled={!last} onClick={undo} className="disabled:opacity-50">
          <Kbd>U</Kbd> {last ? `undo last: ${lastName} ${outcomeWords[last.outcome]}` : "undo"}
        </button>
        <label className="flex items-center gap-2">
          heard
          <select
            className="hairline bg-base-100 text-base-content rounded-md border-[1.5px] px-1.5 py-0.5"
            value={evidence}
            onChange={(event) => setEvidence(event.target.value as Evidence)}
          >
            <option value="LIVE_ALONE">live, alone</option>
            <option value="LIVE_WITH_SECTION">live, with the section</option>
            <option value="PARTNER_CHECK">by a partner</option>
            <option value="RECORDING">as a recording</option>
            <option value="SUBSTITUTE">as a substitute piece</option>
          </select>
        </label>
        {marking !== "points" && (
          <button type="button" onClick={onAtOnce}>
            <Kbd>S</Kbd> whole section at once
          </button>
        )}
        <span className="hidden sm:inline">
          <Kbd>?</Kbd> all keys
        </span>
      </div>
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

function AllHeard({ run, live, onAtOnce }: Props) {
  const { search } = useScope();
  return (
    <div className="grid gap-4 py-2">
      <h2 className="text-[2rem]">
        {live.state.made.length > 0 ? "That was the last one" : "Nobody is left to hear"}
      </h2>
      <p className="soft max-w-[55ch]">
        Everybody here has passed, is excused, or was just heard. Choose a name below to hear it again.
      </p>
      <ul className="flex flex-wrap gap-2">
        {run.players.map((player) => (
          <li key={player.studentId}>
            <Button small onClick={() => live.dispatch({ type: "choose", studentId: player.studentId })}>
              {player.name}
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Link className="btn btn-primary" to={{ pathname: "/hear", search: scopeSearch(search, {}) }}>
          Hear something else
        </Link>
        <Link
          className="btn btn-outline hairline"
          to={{ pathname: "/roster", search: scopeSearch(search, {}) }}
        >
          See the board
        </Link>
        {live.state.made.length > 0 && <Button onClick={live.undo}>Undo last</Button>}
        {run.milestone.kind !== "PLAYING_TEST" && <Button onClick={onAtOnce}>Whole section at once</Button>}
      </div>
    </div>
  );
}
