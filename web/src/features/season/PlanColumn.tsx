import clsx from "clsx";
import { Pin, TriangleAlert } from "lucide-react";
import type { PointerEvent } from "react";
import type { PlanClass, PlanItem, PlanTarget, PlanWeek } from "../../api/types";
import { newNotesIn, runsOf, standing, type Placed } from "./plan";

export const ROW = 38;
export const HEAD = 32;

export interface ColumnActs {
  selected: readonly string[];
  onChoose: (id: string, more: boolean) => void;
  onGrab?: (id: string, event: PointerEvent) => void;
}

interface Props extends ColumnActs {
  week: PlanWeek;
  one: PlanClass;
  items: readonly PlanItem[];
  isNow: boolean;
  height: number;
  /** While something is moved: whether it may stand here. */
  target?: PlanTarget;
  isTarget: boolean;
  /** Things that are drawn as moved here or away from here. */
  changed?: ReadonlyMap<string, "here" | "gone">;
}

/** One week of a class: tutti bars through all its rows, blocks of some sections, new notes in the row that meets them. */
export function PlanColumn(props: Props) {
  const { week, one, height, target, isTarget } = props;
  if (week.closed)
    return <RestColumn name={week.name} height={height} isTarget={isTarget} monday={week.monday} />;
  const { tutti, parts } = standing(props.items, one, week.monday);
  const crowded = tutti.length > 3;
  return (
    <div
      data-week={week.monday}
      className={clsx(
        "relative border-l border-[var(--ink-soft)]",
        props.isNow && "bg-[color-mix(in_oklab,var(--now)_14%,transparent)]",
      )}
      style={{ height }}
    >
      {one.sections.map((section, row) => (
        <span
          key={section.instrument}
          aria-hidden
          className="absolute inset-x-0 border-t border-[var(--hairline)] opacity-60"
          style={{ top: HEAD + row * ROW + ROW / 2 }}
        />
      ))}
      <div className="absolute inset-1 flex gap-[3px]">
        {tutti.map((placed) => (
          <Bar key={placed.item.id} placed={placed} crowded={crowded} {...props} />
        ))}
      </div>
      {parts.flatMap((placed) =>
        runsOf(placed.rows).map(([from, to]) => (
          <Part key={`${placed.item.id}-${from}`} placed={placed} from={from} to={to} {...props} />
        )),
      )}
      {target && (!target.allowed || isTarget) && (
        <span
          title={target.why}
          className={clsx(
            "pointer-events-none absolute inset-0 z-20",
            !target.allowed && "bg-[color-mix(in_oklab,var(--color-base-300)_72%,transparent)]",
            isTarget && "outline-[3px] -outline-offset-2 outline-[var(--color-primary)]",
            isTarget && !target.allowed && "outline-dashed",
          )}
        >
          {!target.allowed && (
            <span className="bg-base-100/85 absolute inset-x-1 bottom-1 line-clamp-5 rounded-md px-1 text-[0.72rem] leading-tight">
              {target.why}
            </span>
          )}
        </span>
      )}
    </div>
  );
}

function words(item: PlanItem): string {
  const state = item.hold === "ORDERED" ? "ordered" : item.hold === "PINNED" ? "pinned" : "planned";
  return `${item.kind === "LINE" ? `Line ${item.shortName}, ` : ""}${item.title}, ${state}`;
}

function look(item: PlanItem, acts: Props) {
  const change = acts.changed?.get(item.id);
  return {
    type: "button" as const,
    "data-item": item.id,
    "aria-label": words(item) + (item.broken ? `. ${item.broken}` : ""),
    "aria-pressed": acts.selected.includes(item.id),
    title: item.broken ?? words(item),
    onClick: (event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) =>
      acts.onChoose(item.id, event.shiftKey || event.ctrlKey || event.metaKey),
    onPointerDown: (event: PointerEvent) => acts.onGrab?.(item.id, event),
    className: clsx(
      "touch-pan-y",
      acts.selected.includes(item.id) && "outline-[3px] outline-offset-1 outline-[var(--now)]",
      change === "gone" && "border-dashed! bg-transparent! text-base-content! line-through",
      change === "here" && "border-primary! text-primary border-[2.5px]!",
    ),
  };
}

function Bar({ placed, crowded, ...acts }: { placed: Placed; crowded: boolean } & Props) {
  const { item } = placed;
  const own = look(item, acts);
  return (
    <button
      {...own}
      className={clsx(
        own.className,
        "bg-base-100/80 relative flex min-w-0 flex-1 flex-col items-center rounded-lg pt-1 text-center align-top",
        item.hold === "ORDERED" ? "border-[1.5px] border-current" : "border-[1.5px] border-[var(--ink-soft)]",
        item.kind === "PIECE" && "border-double border-[var(--brass)]! border-[3px]",
      )}
    >
      <BarLabel item={item} crowded={crowded} />
      {newNotesIn(item, acts.one).map(({ row, notes }) => (
        <span
          key={row}
          className="pointer-events-none absolute inset-x-0 truncate text-[0.8rem] font-semibold text-[var(--woodwind)]"
          style={{ top: HEAD + row * ROW - 4, lineHeight: `${ROW}px`, color: hueOf(acts.one, row) }}
        >
          {notes}
        </span>
      ))}
      <Signs item={item} />
    </button>
  );
}

const hues = {
  WOODWIND: "var(--woodwind)",
  BRASS: "var(--brass)",
  PERCUSSION: "var(--percussion)",
  STRING: "var(--string)",
};
const hueOf = (one: PlanClass, row: number) => hues[one.sections[row]?.family ?? "WOODWIND"];

function Signs({ item }: { item: PlanItem }) {
  return (
    <span className="absolute inset-x-0 bottom-1 flex justify-center gap-0.5">
      {item.hold === "PINNED" && <Pin size={13} aria-hidden />}
      {item.broken && <TriangleAlert size={15} className="text-[var(--brass)]" aria-hidden />}
    </span>
  );
}

const barHue: Partial<Record<PlanItem["kind"], string>> = {
  FREE_CHOICE: "var(--percussion)",
  BELT: "var(--brass)",
  PIECE: "var(--brass)",
  PLAYING_TEST: "var(--string)",
  WRITTEN_CHECK: "var(--percussion)",
  TECHNIQUE_CHECK: "var(--woodwind)",
  CATCH_UP: "var(--percussion)",
};

const partLook: Record<PlanItem["kind"], string> = {
  LINE: "bg-neutral text-neutral-content",
  PLAYING_TEST: "bg-primary text-primary-content",
  WRITTEN_CHECK: "bg-secondary text-secondary-content",
  TECHNIQUE_CHECK: "bg-secondary text-secondary-content",
  FREE_CHOICE: "bg-secondary text-secondary-content",
  BELT: "bg-secondary text-secondary-content",
  PIECE: "bg-neutral text-neutral-content",
  CATCH_UP: "bg-info text-info-content",
};

/** Lines show their number; longer names of checks, tests and belts run down their bar. */
function BarLabel({ item, crowded }: { item: PlanItem; crowded: boolean }) {
  if (item.kind === "LINE") {
    return (
      <span className={clsx("font-semibold", crowded ? "text-[0.8rem]" : "pt-0.5")}>
        {item.shortName}
        {item.heardAlone && <span className="sr-only">, heard</span>}
      </span>
    );
  }
  return (
    <span
      className="mt-1 max-h-full truncate text-[0.84rem] font-semibold"
      style={{
        writingMode: crowded || item.kind === "BELT" || item.shortName.length > 5 ? "vertical-rl" : undefined,
        color: barHue[item.kind],
      }}
    >
      {item.shortName}
      {item.kind === "BELT" && " belt"}
    </span>
  );
}

function Part({ placed, from, to, ...acts }: { placed: Placed; from: number; to: number } & Props) {
  const { item } = placed;
  const own = look(item, acts);
  const notes = newNotesIn(item, acts.one).filter(({ row }) => row >= from && row <= to);
  return (
    <button
      {...own}
      className={clsx(
        own.className,
        "absolute right-1.5 left-1.5 z-10 flex items-center gap-1 truncate rounded-md px-1.5 text-left text-[0.78rem] leading-none font-semibold",
        to > from ? "items-start border-[1.5px] border-current pt-1" : partLook[item.kind],
      )}
      style={{
        top: HEAD + from * ROW + 2 + (placed.lane % 2) * 17,
        height: to > from ? (to - from) * ROW + 17 : 17,
        color: to > from ? barHue[item.kind] : undefined,
        background:
          to > from
            ? `color-mix(in oklab, ${barHue[item.kind] ?? "currentColor"} 12%, var(--color-base-100))`
            : undefined,
      }}
    >
      {item.broken && <TriangleAlert size={12} aria-hidden />}
      {item.hold === "PINNED" && <Pin size={11} aria-hidden />}
      <span className="truncate">
        {item.kind === "LINE" ? `Line ${item.shortName}` : item.shortName}
        {notes.length === 1 && ` · ${notes[0]!.notes}`}
      </span>
    </button>
  );
}

/** A week off, as a rest of one measure. */
function RestColumn({
  name,
  height,
  isTarget,
  monday,
}: {
  name?: string;
  height: number;
  isTarget: boolean;
  monday: string;
}) {
  return (
    <div
      data-week={monday}
      className={clsx(
        "bg-base-200 relative grid place-items-center border-l border-[var(--ink-soft)]",
        isTarget && "outline-[3px] -outline-offset-2 outline-[var(--color-primary)] outline-dashed",
      )}
      style={{ height }}
    >
      <div className="grid justify-items-center gap-2 text-center">
        <span className="display text-lg" aria-hidden>
          1
        </span>
        <svg width="64" height="34" viewBox="0 0 64 34" aria-hidden="true">
          <rect x="2" y="11" width="60" height="12" fill="currentColor" />
          <path d="M2 2v30M62 2v30" stroke="currentColor" strokeWidth="2.5" />
        </svg>
        <span className="small soft">{name ?? "No school"}</span>
      </div>
    </div>
  );
}
