import type { Belt } from "../api/types";
import { readableOn, weavePath } from "./weave";

interface Props {
  belt?: Pick<Belt, "name" | "color" | "weave" | "knots">;
  width?: number;
  /** Drawn only, where its name stands beside it. */
  decorative?: boolean;
}

/** A belt as a woven strip: colour, weave and knots each tell it apart. Without a belt, the empty place for one. */
export function BeltStrip({ belt, width = 112, decorative = false }: Props) {
  if (!belt) {
    return (
      <svg
        width={width}
        height="18"
        viewBox={`0 0 ${width} 18`}
        role="img"
        aria-label="no belt yet"
        className="align-middle"
      >
        <rect
          x=".75"
          y=".75"
          width={width - 1.5}
          height="16.5"
          rx="4"
          fill="none"
          stroke="var(--hairline)"
          strokeWidth="1.5"
          strokeDasharray="3 3"
        />
      </svg>
    );
  }
  const thread = readableOn(belt.color);
  const knotsWidth = belt.knots * 6.4 + 6;
  return (
    <svg
      width={width}
      height="18"
      viewBox={`0 0 ${width} 18`}
      role={decorative ? undefined : "img"}
      aria-hidden={decorative || undefined}
      aria-label={decorative ? undefined : `${belt.name} belt`}
      className="align-middle"
    >
      {!decorative && <title>{belt.name}</title>}
      <rect
        x=".7"
        y=".7"
        width={width - 1.4}
        height="16.6"
        rx="4"
        fill={belt.color}
        stroke="currentColor"
        strokeWidth="1.3"
      />
      <path
        d={weavePath(belt.weave, 7, width - knotsWidth - 4)}
        fill="none"
        stroke={thread}
        strokeWidth="1.4"
        opacity=".85"
      />
      {Array.from({ length: belt.knots }, (_, i) => (
        <circle key={i} cx={width - 8 - i * 6.4} cy="9" r="2.2" fill={thread} />
      ))}
    </svg>
  );
}
