import { markWords, type MarkState } from "./markWords";

interface Props {
  state: MarkState;
  tries?: number;
  carriedOver?: boolean;
  /** Heard, and what it makes is not known yet. */
  onItsWay?: boolean;
  /** Width of the note-head in pixels. */
  size?: number;
  /** Drawn only, where the words stand beside it. */
  decorative?: boolean;
}

/** Our progress mark: a small note-head that tells its state by shape alone, at 14 px and in grey. */
export function ProgressMark({
  state,
  tries = 0,
  carriedOver = false,
  onItsWay = false,
  size = 16,
  decorative = false,
}: Props) {
  const words = markWords({ state, tries, carriedOver, onItsWay });
  const strokes = state === "TRIED" ? Math.min(tries, 5) : 0;
  return (
    <svg
      width={size * 2}
      height={size * 1.2}
      viewBox="-16 -9.6 32 19.2"
      overflow="visible"
      role={decorative ? undefined : "img"}
      aria-hidden={decorative || undefined}
      aria-label={decorative ? undefined : words}
      strokeDasharray={onItsWay ? "2.4 1.8" : undefined}
      className="inline-block shrink-0 align-middle"
    >
      {!decorative && <title>{words}</title>}
      <g fill="none" stroke="currentColor">
        {state !== "EXCUSED" && state !== "NOT_SET" && (
          <g transform="rotate(-22)">
            <Head state={state} />
          </g>
        )}
        {state === "EXCUSED" && (
          <rect x="-7.4" y="-1.5" width="14.8" height="3" rx="1" fill="currentColor" stroke="none" />
        )}
        {Array.from({ length: strokes }, (_, i) => (
          <line key={i} x1={10.5 + i * 2.7} x2={10.5 + i * 2.7} y1="-7.6" y2="-2" strokeWidth="1.5" />
        ))}
        {carriedOver && <path d="M -15.2 1 Q -12.4 8.6 -6.6 5.2" strokeWidth="1.7" strokeLinecap="round" />}
      </g>
    </svg>
  );
}

function Head({ state }: { state: MarkState }) {
  const ring = <ellipse rx="7.36" ry="5.44" strokeWidth="1.92" />;
  switch (state) {
    case "PASSED":
      return <ellipse rx="7.36" ry="5.44" fill="currentColor" strokeWidth="1.92" />;
    case "PASSED_BY_SUBSTITUTE":
      return (
        <path
          d="M 5.9 -3.4 A 7.36 5.44 0 1 0 5.9 3.4 L 0.9 0 Z"
          fill="currentColor"
          strokeWidth="1.5"
          strokeLinejoin="round"
        />
      );
    case "TRIED":
      return (
        <>
          {ring}
          <path d="M -7.36 0 A 7.36 5.44 0 0 0 7.36 0 Z" fill="currentColor" stroke="none" />
        </>
      );
    case "RECORDING_WAITING":
      return (
        <>
          {ring}
          <circle r="2.1" fill="currentColor" stroke="none" />
        </>
      );
    default:
      return ring;
  }
}
