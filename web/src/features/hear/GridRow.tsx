import clsx from "clsx";
import { memo, type ReactNode } from "react";
import type { Outcome, Player } from "../../api/types";
import type { GridAction, GridColumn } from "./checkGrid";

interface Props {
  player: Player;
  row: number;
  columns: readonly GridColumn[];
  missed: ReadonlySet<number> | undefined;
  away: boolean;
  words: string;
  /** Tries in this run, oldest first; undefined where tries are not counted. */
  tries: readonly Outcome[] | undefined;
  goodTries: number;
  passK: number | undefined;
  /** The column the keys act on, when this is the row. */
  current: number | undefined;
  variant: ReactNode;
  dispatch: (action: GridAction) => void;
}

const cell = "border-t border-[var(--hairline)] p-1";

/** One student against the criteria: a tap marks what was not seen. */
export const GridRow = memo(function GridRow(props: Props) {
  const { player, row, columns, missed, away, words, tries, current, dispatch } = props;
  const { studentId, name } = player;
  return (
    <tr className={current === undefined ? "bg-base-100" : "bg-base-200"}>
      <th
        scope="row"
        className="bg-inherit sticky left-0 z-[1] w-60 max-w-60 min-w-32 border-t border-[var(--hairline)] py-1 pr-3 pl-1 text-left font-semibold"
      >
        <span className="block truncate">{name}</span>
        <span className="small soft block truncate font-normal">
          {words ||
            (player.carried && [player.carried.place, player.carried.pattern].filter(Boolean).join(", "))}
        </span>
      </th>
      {columns.map((c, column) => (
        <td key={c.ordinal} className={cell}>
          <GridCell
            label={`${name}: ${c.name}`}
            on={missed?.has(c.ordinal) ?? false}
            away={away}
            current={current === column}
            onPress={() => {
              dispatch({ type: "toggle", studentId, ordinal: c.ordinal });
              dispatch({ type: "at", row, column });
            }}
          />
        </td>
      ))}
      <td className={cell}>
        <GridCell
          label={`${name} is absent`}
          on={away}
          onPress={() => {
            dispatch({ type: "absent", studentId });
            dispatch({ type: "at", row, column: 0 });
          }}
        />
      </td>
      {tries && (
        <td className={clsx(cell, "px-2 whitespace-nowrap")}>
          <TryDots tries={tries} />
          <span className="small soft block">
            {props.goodTries} of {props.passK} good
          </span>
        </td>
      )}
      {props.variant && <td className={cell}>{props.variant}</td>}
    </tr>
  );
});

function TryDots({ tries }: { tries: readonly Outcome[] }) {
  const words = tries.map((o) => (o === "PASS" ? "good" : "not good")).join(", ");
  return (
    <svg
      width={Math.max(1, tries.length) * 15}
      height="13"
      viewBox={`0 0 ${Math.max(1, tries.length) * 15} 13`}
      role="img"
      aria-label={words ? `tries now: ${words}` : "no try yet"}
    >
      {tries.map((outcome, i) => (
        <ellipse
          key={i}
          cx={7 + i * 15}
          cy="6.5"
          rx="5.4"
          ry="4.1"
          transform={`rotate(-22 ${7 + i * 15} 6.5)`}
          fill={outcome === "PASS" ? "currentColor" : "none"}
          stroke="currentColor"
          strokeWidth="1.6"
        />
      ))}
    </svg>
  );
}

interface CellProps {
  label: string;
  on: boolean;
  away?: boolean;
  current?: boolean;
  onPress: () => void;
}

function GridCell({ label, on, away, current, onPress }: CellProps) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={on}
      onClick={(event) => {
        onPress();
        if (event.detail > 0) event.currentTarget.blur();
      }}
      className={clsx(
        "h-11 w-full min-w-11 rounded-lg border-[1.5px] text-lg leading-none",
        on ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
        away && "opacity-40",
        current && "outline-2 outline-offset-1 outline-[var(--now)]",
      )}
    >
      <span aria-hidden>{on ? "×" : ""}</span>
    </button>
  );
}
