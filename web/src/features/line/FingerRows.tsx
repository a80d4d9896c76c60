import clsx from "clsx";
import type { Finger, LineAnalysis } from "../../api/types";
import { HoleChart } from "./HoleChart";
import { signed } from "../../ui/notes";

interface Props {
  fingers: readonly (readonly Finger[])[];
  analysis: LineAnalysis;
  /** Index of the measure that sounds. */
  sounding?: number;
  label: string;
}

/** Fingers without a staff, for first weeks: each note as wide as it lasts, its name and its fingering. */
export function FingerRows({ fingers, analysis, sounding, label }: Props) {
  return (
    <ol aria-label={label} className="flex flex-wrap gap-y-4">
      {fingers.map((measure, m) => (
        <li
          key={m}
          className={clsx(
            "border-base-content relative flex border-l-2 pt-4 pl-1 last:border-r-2",
            sounding === m && "bg-[var(--now)]/20",
          )}
        >
          <span className="soft absolute top-0 left-1 text-[0.78rem]">
            {analysis.measures[m]?.number || ""}
          </span>
          {measure.map((finger, n) => (
            <Cell key={n} finger={finger} />
          ))}
        </li>
      ))}
    </ol>
  );
}

const markWords = { NOTHING: "", FOURTH_FINGER: "fourth finger", ALTERNATE: "alternate", ROLL: "roll" };

function Cell({ finger }: { finger: Finger }) {
  const other = finger.alternates.length > 0 ? `also ${finger.alternates.join("; ")}` : undefined;
  return (
    <span
      className="grid min-w-9 content-start justify-items-center border-b border-[var(--hairline)] px-0.5 text-center"
      style={{ width: `${finger.beats * 3.1}rem` }}
      title={other}
    >
      <span className={clsx("text-[1.05rem] font-semibold", !finger.name && "soft")}>
        {finger.name ? signed(finger.name) : "rest"}
      </span>
      {finger.holes !== undefined ? (
        <>
          <HoleChart holes={finger.holes} keys={finger.keys} />
          <span className="sr-only">{finger.label}</span>
        </>
      ) : (
        <span
          className={clsx(
            "text-[1.25rem] leading-tight",
            finger.marked !== "NOTHING" && "underline decoration-2",
          )}
        >
          {finger.label}
          {finger.string && <span className="soft ml-1 text-[0.85rem]">{finger.string}</span>}
        </span>
      )}
      {finger.marked !== "NOTHING" && (
        <span className="text-[0.78rem] leading-tight">{markWords[finger.marked]}</span>
      )}
    </span>
  );
}
