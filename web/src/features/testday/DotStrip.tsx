import type { TestResults } from "../../api/types";

const HEIGHT = 58;
const BASE = 40;
const STEP = 15;

interface Props {
  criterion: TestResults["criteria"][number];
  weakest: boolean;
  /** Width of the whole strip in pixels. */
  width?: number;
}

/** Each note-head one student, over the points they have; below, a bar for everybody in the class. */
export function DotStrip({ criterion, weakest, width = 330 }: Props) {
  const levels = criterion.top + 1;
  const column = width / levels;
  const perRow = Math.max(1, Math.floor((column - 6) / STEP));
  const most = Math.max(1, ...criterion.ofClass);
  const words = criterion.counts.map((n, points) => `${points}: ${n}`).join(", ");
  return (
    <div className="grid grid-cols-[9rem_1fr] items-end gap-x-3">
      <span className={weakest ? "font-bold" : undefined}>{criterion.name}</span>
      <svg
        width={width}
        height={HEIGHT}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        role="img"
        aria-label={`${criterion.name}, students by points, ${words}`}
        className="max-w-full"
      >
        {criterion.counts.map((students, points) => {
          const left = points * column;
          return (
            <g key={points}>
              {Array.from({ length: students }, (_, i) => (
                <ellipse
                  key={i}
                  cx={left + 8 + (i % perRow) * STEP}
                  cy={BASE - 8 - Math.floor(i / perRow) * 10}
                  rx="5.4"
                  ry="3.8"
                  transform={`rotate(-20 ${left + 8 + (i % perRow) * STEP} ${BASE - 8 - Math.floor(i / perRow) * 10})`}
                  fill="currentColor"
                />
              ))}
              <rect x={left + 3} y={BASE + 4} width={column - 8} height="5" fill="var(--color-base-300)" />
              <rect
                x={left + 3}
                y={BASE + 4}
                width={((column - 8) * (criterion.ofClass[points] ?? 0)) / most}
                height="5"
                fill="currentColor"
                opacity=".6"
              />
              <text x={left + 3} y={HEIGHT - 1} fontSize="9.5" fill="currentColor" opacity=".75">
                {points}
              </text>
            </g>
          );
        })}
        <line x1="0" x2={width} y1={BASE} y2={BASE} stroke="currentColor" strokeWidth="1.2" />
        {criterion.floor !== undefined && criterion.floor > 0 && (
          <line
            x1={criterion.floor * column - 2}
            x2={criterion.floor * column - 2}
            y1="4"
            y2={BASE}
            stroke="var(--color-error)"
            strokeWidth="1.5"
            strokeDasharray="4 3"
          />
        )}
      </svg>
    </div>
  );
}
