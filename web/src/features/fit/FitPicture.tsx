import type { ReactNode } from "react";
import type { FitKind } from "../../api/types";

interface Props {
  kind: FitKind;
  /** What it came to, written at the place it belongs to. */
  result?: string;
  standing: boolean;
}

const FLOOR = 300;
const bouts =
  "M0,-66 C30,-66 34,-34 20,-18 C12,-8 12,6 22,16 C44,34 36,66 0,66 C-36,66 -44,34 -22,16 C-12,6 -12,-8 -20,-18 C-34,-34 -30,-66 0,-66 Z";

/** Where to measure, and what the result is about; drawn plainly. */
export function FitPicture({ kind, result, standing }: Props) {
  return (
    <svg
      viewBox="0 0 360 320"
      role="img"
      aria-label={titles[kind]}
      className="bg-base-200 w-full max-w-[34rem] self-start rounded-2xl"
    >
      <title>{titles[kind]}</title>
      {kind !== "BASSOON_STRAP" && kind !== "TRUMPET_RING" && (
        <line x1="20" x2="340" y1={FLOOR} y2={FLOOR} stroke="currentColor" strokeWidth="2" />
      )}
      {pictures(result, standing)[kind]}
    </svg>
  );
}

const titles: Record<FitKind, string> = {
  CHAIR: "A seated student from the side; the seat is as high as the hollow of the knee",
  CELLO_ENDPIN: "A seated student with a cello from the side, with seat height, knee height and endpin",
  BASS_ENDPIN: "A student with a double bass from the side, with endpin and eye height",
  VIOLIN_SIZE: "A student from the front, one arm out, a violin beside the arm",
  VIOLA_SIZE: "A student from the front, one arm out, a viola beside the arm",
  HORN_BELL: "A seated student with a horn from the side, with the height from seat to lips and to the thigh",
  TRUMPET_RING: "A left hand round the valves of a trumpet, with the reach from thumb to ring finger",
  BASSOON_STRAP: "A chair's seat from above with the strap across it",
};

function pictures(result: string | undefined, standing: boolean): Record<FitKind, ReactNode> {
  const arm = (scale: number) => (
    <>
      <FromTheFront />
      <g transform={`translate(${196 - scale * 12},92) rotate(90) scale(${scale})`}>
        <Fiddle neck={64} />
      </g>
      <Across x1={133} x2={306} y={166} label="arm length" />
      <Words x={204} y={44} strong text={result ?? ""} />
    </>
  );
  return {
    CHAIR: (
      <>
        <Chair />
        <Seated x={18} />
        <Up x={276} y1={204} y2={FLOOR} label={result ?? "knee height"} />
      </>
    ),
    CELLO_ENDPIN: (
      <>
        <Chair />
        <Seated x={0} />
        <g transform="translate(208,188) rotate(-24)">
          <Fiddle neck={84} />
          <line y1="66" y2="121" stroke="var(--string)" strokeWidth="4" />
        </g>
        <path d="M262,238 L284,292" stroke="var(--now)" strokeWidth="3" fill="none" />
        <Words x={284} y={258} strong text={result ?? "endpin"} />
        <Up x={52} y1={200} y2={FLOOR} label="seat" />
      </>
    ),
    BASS_ENDPIN: (
      <>
        {standing ? (
          <Standing />
        ) : (
          <>
            <Stool />
            <Seated x={-14} lift={34} />
          </>
        )}
        <g transform="translate(204,176) rotate(-8) scale(1.3)">
          <Fiddle neck={52} />
          <line y1="66" y2="94" stroke="var(--string)" strokeWidth="3.4" />
        </g>
        <Up x={262} y1={266} y2={FLOOR} label={result ?? "endpin"} strong />
        <line
          x1="122"
          x2="186"
          y1="52"
          y2="52"
          stroke="currentColor"
          strokeWidth="1.5"
          strokeDasharray="4 4"
        />
        <Words x={196} y={56} text="first finger at the eye" />
      </>
    ),
    VIOLIN_SIZE: arm(0.78),
    VIOLA_SIZE: arm(0.9),
    HORN_BELL: (
      <>
        <Chair />
        <Seated x={18} />
        <g fill="none" stroke="var(--brass)" strokeWidth="4">
          <circle cx="196" cy="132" r="26" fill="var(--color-base-100)" />
          <circle cx="196" cy="132" r="15" />
          <path d="M172,122 L160,84" />
          <path
            d="M208,154 C214,170 222,180 240,188 L204,198 C200,184 194,170 186,156"
            fill="var(--color-base-100)"
          />
        </g>
        <Up x={264} y1={84} y2={204} label="seat to lips" />
        <Up x={52} y1={180} y2={204} label="thigh" />
        <Words x={24} y={28} strong text={result ?? ""} />
      </>
    ),
    TRUMPET_RING: <LeftHand result={result} />,
    BASSOON_STRAP: <Seat result={result} />,
  };
}

const limb = {
  fill: "none",
  stroke: "var(--color-base-300)",
  strokeWidth: 24,
  strokeLinecap: "round" as const,
  strokeLinejoin: "round" as const,
};

function Seated({ x, lift = 0 }: { x: number; lift?: number }) {
  return (
    <g transform={`translate(${x},${-lift})`}>
      <path d="M116,186 L120,112" {...limb} strokeWidth="30" />
      <path
        d={`M118,190 L196,190 L196,${282 + lift * 0.4} L214,${288 + lift * 0.4}`}
        {...limb}
        strokeWidth="22"
      />
      <path d="M122,118 L158,160 L186,136" {...limb} strokeWidth="15" />
      <circle cx="124" cy="72" r="22" fill="var(--color-base-300)" />
    </g>
  );
}

function Standing() {
  return (
    <>
      <path d="M108,190 L112,106" {...limb} strokeWidth="30" />
      <path d="M104,190 L98,288 L112,290" {...limb} strokeWidth="20" />
      <path d="M114,190 L126,288 L140,290" {...limb} strokeWidth="20" />
      <path d="M116,112 L152,128 L184,82" {...limb} strokeWidth="14" />
      <circle cx="114" cy="58" r="22" fill="var(--color-base-300)" />
    </>
  );
}

function LeftHand({ result }: { result?: string }) {
  return (
    <>
      <g fill="none" stroke="var(--brass)" strokeWidth="4">
        <path d="M24,120 H330 M24,196 H210" />
        {[96, 132, 168].map((x) => (
          <rect key={x} x={x} y="88" width="26" height="136" fill="var(--color-base-100)" />
        ))}
        <path d="M210,182 h48 v28 h-48" fill="var(--color-base-100)" />
        <circle cx="234" cy="166" r="14" />
      </g>
      <path d="M76,250 C60,200 74,150 92,116" {...limb} strokeWidth="20" />
      <path d="M96,236 C140,250 196,226 232,176" {...limb} strokeWidth="17" />
      <Across x1={88} x2={236} y={270} label="thumb to ring finger" />
      <Words x={14} y={44} strong text={result ?? ""} />
    </>
  );
}

function FromTheFront() {
  return (
    <>
      <path d="M112,138 L112,214" {...limb} strokeWidth="44" />
      <path d="M102,214 L100,290" {...limb} strokeWidth="20" />
      <path d="M124,214 L126,290" {...limb} strokeWidth="20" />
      <path d="M128,128 L306,128" {...limb} strokeWidth="16" />
      <path d="M94,130 L78,206" {...limb} strokeWidth="15" />
      <circle cx="112" cy="82" r="23" fill="var(--color-base-300)" />
      <circle cx="306" cy="128" r="11" fill="var(--color-base-300)" />
    </>
  );
}

/** A string instrument's outline, its neck upwards. */
function Fiddle({ neck }: { neck: number }) {
  return (
    <g fill="none" stroke="var(--string)" strokeWidth="3">
      <path d={bouts} fill="var(--color-base-100)" />
      <line y1={-66} y2={-66 - neck} strokeWidth="5" />
      <circle cy={-70 - neck} r="5" fill="var(--string)" />
      <path d="M-9,6 h18" strokeWidth="4" />
      <path d="M-14,-8 q-5,16 2,24 M14,-8 q5,16 -2,24" strokeWidth="1.8" />
    </g>
  );
}

function Chair() {
  return (
    <g stroke="currentColor" strokeWidth="4" fill="none" strokeLinecap="round">
      <path d="M88,204 h84 M96,204 V298 M164,204 V298 M90,204 L84,112" />
    </g>
  );
}

function Stool() {
  return (
    <g stroke="currentColor" strokeWidth="4" fill="none" strokeLinecap="round">
      <path d="M74,170 h62 M84,170 L72,298 M126,170 L138,298 M78,238 h54" />
    </g>
  );
}

/** The seat from above: the strap lies across it, nearer the front at first. */
function Seat({ result }: { result?: string }) {
  const place = result?.includes("well forward") ? 252 : result?.includes("front third") ? 222 : 182;
  return (
    <>
      <rect
        x="84"
        y="62"
        width="196"
        height="190"
        rx="26"
        fill="none"
        stroke="currentColor"
        strokeWidth="3"
      />
      <path d="M70,62 V252" stroke="currentColor" strokeWidth="6" strokeLinecap="round" />
      <path d="M128,114 H318" {...limb} strokeWidth="40" opacity="0.75" />
      <path d="M128,200 H318" {...limb} strokeWidth="40" opacity="0.75" />
      <Words x={28} y={46} text="backrest" />
      <Words x={262} y={46} text="front edge" />
      {result && (
        <>
          <line x1={place} x2={place} y1="52" y2="268" stroke="var(--woodwind)" strokeWidth="13" />
          <circle cx={place} cy="280" r="14" fill="none" stroke="var(--woodwind)" strokeWidth="4" />
          <Words x={Math.max(40, place - 130)} y={311} strong text={result} />
        </>
      )}
    </>
  );
}

interface WordsProps {
  x: number;
  y: number;
  text: string;
  strong?: boolean;
  /** Whether the words end at x. */
  before?: boolean;
}

function Words({ x, y, text, strong, before }: WordsProps) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={before ? "end" : "start"}
      fontSize={strong ? 17 : 14}
      fontWeight={strong ? 700 : 400}
      fill="currentColor"
      paintOrder="stroke"
      stroke="var(--color-base-200)"
      strokeWidth="4"
    >
      {text}
    </text>
  );
}

function Up({
  x,
  y1,
  y2,
  label,
  strong,
}: {
  x: number;
  y1: number;
  y2: number;
  label: string;
  strong?: boolean;
}) {
  return (
    <>
      <path
        d={`M${x - 8},${y1} h16 M${x},${y1} V${y2} M${x - 8},${y2} h16`}
        stroke="var(--now)"
        strokeWidth="3"
        fill="none"
      />
      <Words
        x={x > 180 ? x + 12 : x - 11}
        before={x <= 180}
        y={(y1 + y2) / 2 + 5}
        text={label}
        strong={strong ?? label.includes("cm")}
      />
    </>
  );
}

function Across({ x1, x2, y, label }: { x1: number; x2: number; y: number; label: string }) {
  return (
    <>
      <path
        d={`M${x1},${y - 8} v16 M${x1},${y} H${x2} M${x2},${y - 8} v16`}
        stroke="var(--now)"
        strokeWidth="3"
        fill="none"
      />
      <Words x={(x1 + x2) / 2 - 32} y={y + 24} text={label} />
    </>
  );
}
