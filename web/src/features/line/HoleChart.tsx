interface Props {
  /** Bits: 0 the left thumb, 1 to 6 the fingers. */
  holes: number;
  keys: readonly string[];
}

const registerKeys = new Set(["reg", "reg1", "reg2", "w"]);

/** A woodwind fingering drawn small: thumb at the side, three holes and three, keys by their note below. */
export function HoleChart({ holes, keys }: Props) {
  const thumb = (holes & 1) !== 0;
  const register = keys.find((key) => registerKeys.has(key));
  const half = keys.includes("h");
  const others = keys.filter((key) => !registerKeys.has(key) && key !== "h");
  return (
    <svg viewBox="0 0 22 62" width={19} height={54} aria-hidden className="mx-auto block">
      {register && <rect x={1.5} y={0.8} width={5} height={5} fill="currentColor" />}
      {thumb && <circle cx={4} cy={11} r={2.6} fill="currentColor" />}
      {[0, 1, 2, 3, 4, 5].map((i) => {
        const covered = (holes & (1 << (i + 1))) !== 0;
        const y = 5 + i * 7 + (i > 2 ? 4 : 0);
        return (
          <g key={i}>
            <circle
              cx={13}
              cy={y}
              r={2.7}
              fill={covered ? "currentColor" : "none"}
              stroke="currentColor"
              strokeWidth={1}
            />
            {i === 0 && half && <path d={`M13 ${y - 2.7} a2.7 2.7 0 0 1 0 5.4 z`} fill="currentColor" />}
          </g>
        );
      })}
      <path d="M9 24.5 h8" stroke="currentColor" strokeWidth={0.7} />
      <text x={11} y={60} textAnchor="middle" fontSize={8} fill="currentColor">
        {others.map((key) => key.replace(/^side-|^palm-/, "")).join(" ")}
      </text>
    </svg>
  );
}
