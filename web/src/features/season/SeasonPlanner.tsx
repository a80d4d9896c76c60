import { useQuery } from "@tanstack/react-query";
import { Redo2, Undo2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { PlanItem, PlanProblem, SeasonPlan } from "../../api/types";
import { shortDay } from "../../app/days";
import { useScope } from "../../app/scope";
import { useKeys } from "../../app/useKeys";
import { Band, Button, IconButton, Kbd } from "../../ui/parts";
import { counted } from "../../ui/words";
import { isMovable, moveTo, pinTo, toggled, unplaced, weekBeside, weeksShown } from "./plan";
import { PlannedBand } from "./PlannedBand";
import { PlanScore } from "./PlanScore";
import { ProblemBand } from "./ProblemBand";
import { targetsQuery } from "./plan.queries";
import { useGrab } from "./useGrab";
import { usePlanning } from "./usePlanning";

const WEEKS_SHOWN = 9;

interface Props {
  plan: SeasonPlan;
  classId: string;
  classIds: readonly string[];
  director: boolean;
  shown: string;
  now: string;
}

/** The score with what can be done on it: choosing, moving by pointer or keys, undo, and what is wrong. */
export function SeasonPlanner({ plan, classId, classIds, director, shown, now }: Props) {
  const { choose } = useScope();
  const [selected, setSelected] = useState<string[]>([]);
  const [target, setTarget] = useState<string>();
  const planning = usePlanning(classIds, plan);
  const items = selected.flatMap((id) => plan.items.filter((item) => item.id === id));
  const movable = director && items.length > 0 && items.every(isMovable);
  const targets = useQuery({
    ...targetsQuery(classId, selected, plan.revision),
    enabled: movable && target !== undefined,
  });
  const byWeek = target === undefined ? undefined : new Map(targets.data?.map((t) => [t.monday, t]));
  const over = target === undefined ? undefined : byWeek?.get(target);
  const beside = (step: 1 | -1) => {
    if (!movable) return;
    const from = target ?? items[0]?.monday ?? shown;
    const to = weekBeside(plan, from, step);
    planning.forget();
    setTarget(to);
    if (!weeksShown(plan, shown, WEEKS_SHOWN).some((w) => w.monday === to)) choose({ week: to });
  };
  const drop = (evenIfBroken = false) => {
    if (target === undefined) return;
    if (target !== items[0]?.monday) {
      planning.make(
        moveTo(plan, selected, target, `${spoken(items)} to ${shortDay(target)}`),
        evenIfBroken || over?.allowed === true,
      );
    }
    setTarget(undefined);
    const lead = selected[0];
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-item="${lead}"]`)?.focus());
  };
  const grab = useGrab({
    onStart: (id) => {
      if (!selected.includes(id)) setSelected([id]);
      planning.forget();
    },
    onOver: (monday) => setTarget(monday),
    onDrop: () => drop(),
    onCancel: () => setTarget(undefined),
  });
  const remedy = (problem: PlanProblem) => {
    if (!problem.remedy) return;
    const { itemId, monday } = problem.remedy;
    planning.make(moveTo(plan, [itemId], monday, `moved to ${shortDay(monday)}`));
  };
  const first = plan.problems[0];
  useKeys({
    ArrowRight: movable ? () => beside(1) : undefined,
    ArrowLeft: movable ? () => beside(-1) : undefined,
    Enter:
      target !== undefined
        ? () => drop()
        : director && items.length === 0 && first?.remedy
          ? () => remedy(first)
          : undefined,
    Escape: () => {
      if (target !== undefined) setTarget(undefined);
      else setSelected([]);
      planning.forget();
    },
    u: director ? planning.undo : undefined,
    r: director ? planning.redo : undefined,
  });
  return (
    <>
      <PlanScore
        weeks={weeksShown(plan, shown, WEEKS_SHOWN)}
        now={now}
        classes={plan.classes}
        items={plan.items}
        mondays={plan.weeks.map((w) => w.monday)}
        selected={selected}
        targets={byWeek}
        target={target}
        onChoose={(id, more) => {
          setTarget(undefined);
          planning.forget();
          setSelected(toggled(selected, id, more));
        }}
        onGrab={(id, event) => {
          const item = plan.items.find((one) => one.id === id);
          if (director && item && isMovable(item)) grab(id, event);
        }}
      />
      <Waiting
        plan={plan}
        selected={selected}
        onChoose={(id, more) => setSelected(toggled(selected, id, more))}
      />
      <div className="mt-3 grid gap-3">
        {planning.error && (
          <Band label="Not moved">
            <p role="alert" className="grow font-semibold">
              {planning.error.message}
            </p>
            {planning.refused && <Button onClick={planning.insist}>Put it there anyway</Button>}
            <Button onClick={planning.forget}>Leave it</Button>
          </Band>
        )}
        {target !== undefined ? (
          <Moving
            words={spoken(items)}
            target={target}
            why={over?.why}
            points={over?.allowed ? over.points : undefined}
            onDrop={() => drop()}
            onInsist={() => drop(true)}
            onCancel={() => setTarget(undefined)}
          />
        ) : items.length > 0 ? (
          <PlannedBand
            plan={plan}
            classId={classId}
            items={items}
            director={director}
            onPin={(pinned) => planning.make(pinTo(plan, selected, pinned), true)}
            onTakeOut={() =>
              planning.make(moveTo(plan, selected, undefined, `${spoken(items)} out of the weeks`))
            }
            onMove={() => setTarget(items[0]?.monday ?? (shown > plan.firstFree ? shown : plan.firstFree))}
            onGone={() => setSelected([])}
          />
        ) : (
          <ProblemBand
            problems={plan.problems}
            director={director}
            onShow={(problem) => {
              if (problem.monday) choose({ week: problem.monday });
              setSelected(problem.itemIds.slice(0, 1));
            }}
            onRemedy={remedy}
          />
        )}
      </div>
      {director && (planning.undo ?? planning.redo) && (
        <div className="no-print mt-2 flex items-center gap-1">
          <IconButton
            label={`Undo: ${planning.lastWords ?? ""} (U)`}
            off={!planning.undo}
            onPress={() => planning.undo?.()}
          >
            <Undo2 size={17} aria-hidden />
          </IconButton>
          <IconButton label="Do it again (R)" off={!planning.redo} onPress={() => planning.redo?.()}>
            <Redo2 size={17} aria-hidden />
          </IconButton>
          <span className="small soft">{planning.lastWords}</span>
        </div>
      )}
    </>
  );
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

const spoken = (items: readonly PlanItem[]) =>
  items.length === 1 && items[0] ? items[0].name : counted(items.length, "thing");

function Moving(props: {
  words: string;
  target: string;
  why?: string;
  points?: number;
  onDrop: () => void;
  onInsist: () => void;
  onCancel: () => void;
}) {
  const words = useRef<HTMLParagraphElement>(null);
  // Enter is to put it down, not to press the block once more that was chosen.
  useEffect(() => words.current?.focus(), []);
  return (
    <Band label="Moving">
      <p ref={words} tabIndex={-1} className="grow basis-64 outline-none" aria-live="polite">
        <b>
          {capital(props.words)} to {shortDay(props.target)}
        </b>
        {props.why && <span className="block">{props.why}</span>}
        {props.points !== undefined && (
          <span className="soft block">
            {props.points === 0
              ? "Nothing gets worse."
              : props.points > 0
                ? `${counted(props.points, "point")} more: the year gets that much more crowded or late.`
                : `${counted(-props.points, "point")} less: the year gets lighter.`}
          </span>
        )}
      </p>
      {props.why ? (
        <Button onClick={props.onInsist}>Put it there anyway</Button>
      ) : (
        <Button look="primary" onClick={props.onDrop}>
          Put it there <Kbd>Enter</Kbd>
        </Button>
      )}
      <Button onClick={props.onCancel}>
        Leave it <Kbd>Esc</Kbd>
      </Button>
    </Band>
  );
}

/** What was chosen and has no week yet. */
function Waiting({
  plan,
  selected,
  onChoose,
}: {
  plan: SeasonPlan;
  selected: readonly string[];
  onChoose: (id: string, more: boolean) => void;
}) {
  const without = unplaced(plan);
  if (without.length === 0) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5">
      <span className="small soft mr-1">Without a week:</span>
      {without.slice(0, 12).map((item) => (
        <button
          key={item.id}
          type="button"
          aria-pressed={selected.includes(item.id)}
          title={item.title}
          className={
            "rounded-full border-[1.5px] border-dashed border-[var(--ink-soft)] px-2.5 py-0.5 text-[0.85rem] " +
            (selected.includes(item.id) ? "bg-base-300 font-semibold" : "")
          }
          onClick={(event) => onChoose(item.id, event.shiftKey || event.ctrlKey)}
        >
          {item.kind === "LINE" ? `Line ${item.shortName}` : item.shortName}
        </button>
      ))}
      {without.length > 12 && <span className="small soft">and {without.length - 12} more</span>}
    </div>
  );
}
