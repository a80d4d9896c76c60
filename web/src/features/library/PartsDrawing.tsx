import clsx from "clsx";
import type { ReactNode } from "react";
import { places } from "./partsPlaces";

interface Props {
  kind: string;
  numbers: readonly number[];
  never: readonly number[];
  /** The one that is asked for; the others step back. */
  asked?: number;
}

/** A plain outline of a kind of instrument with numbered points; our own drawing. */
export function PartsDrawing({ kind, numbers, never, asked }: Props) {
  const at = places[kind] ?? [];
  return (
    <svg viewBox="0 0 520 210" role="img" aria-label={`Drawing with ${numbers.length} numbered parts`}>
      <g fill="none" stroke="currentColor" strokeWidth="2.4" strokeLinejoin="round" strokeLinecap="round">
        {outlines[kind]}
      </g>
      {numbers.map((number) => {
        const place = at[number - 1];
        if (!place) return null;
        const [x, y, toX, toY] = place;
        return (
          <g key={number} className={clsx(asked !== undefined && asked !== number && "opacity-25")}>
            <line x1={x} y1={y} x2={toX} y2={toY} stroke="currentColor" strokeWidth="1" opacity="0.6" />
            <circle cx={toX} cy={toY} r="2.6" fill="currentColor" />
            <circle
              cx={x}
              cy={y}
              r="11.5"
              className="fill-base-100"
              stroke="currentColor"
              strokeWidth={asked === number ? 3.4 : 1.6}
              strokeDasharray={never.includes(number) ? "3 2.4" : undefined}
            />
            <text x={x} y={y + 4.8} textAnchor="middle" fontSize="13.5" fontWeight="700" fill="currentColor">
              {number}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

const keys = (from: number, to: number, y: number, every = 20): ReactNode =>
  Array.from({ length: Math.floor((to - from) / every) + 1 }, (_, i) => (
    <circle key={i} cx={from + i * every} cy={y} r="6.5" />
  ));

const outlines: Record<string, ReactNode> = {
  flute: (
    <>
      <path d="M30 92 h18 v26 h-18 z M48 95 h442 v20 h-442 z M170 91 v28 M410 91 v28" />
      <ellipse cx="112" cy="97" rx="22" ry="9" />
      <ellipse cx="112" cy="96" rx="7" ry="3.4" />
      {keys(196, 396, 105, 22)}
      {keys(430, 474, 105, 22)}
      <path d="M190 88 h200 M262 116 q8 16 22 16" />
    </>
  ),
  "single-reed": (
    <>
      <path d="M24 112 L84 98 v20 L30 118 z M84 96 h44 v24 h-44 z M128 98 h300 v20 h-300 z M280 94 v28" />
      <path d="M428 98 C460 98 480 86 498 78 v60 C480 130 460 118 428 118 z M40 106 v11 M60 101 v17" />
      {keys(156, 262, 108, 21)}
      {keys(304, 410, 108, 21)}
      <path d="M262 91 h40 M150 124 q6 12 20 12 M318 119 v16 h14" />
    </>
  ),
  "double-reed": (
    <>
      <path d="M22 105 h42 l10 -3 v14 l-10 -3 h-42 z M74 106 h30 M104 98 h324 v20 h-324 z M268 94 v28" />
      <path d="M428 98 C452 98 470 88 488 88 v42 C470 130 452 118 428 118 z" />
      {keys(134, 252, 108, 19)}
      {keys(292, 410, 108, 19)}
      <path d="M252 91 h38 M126 124 q8 12 24 12 M306 119 v16 h14" />
    </>
  ),
  saxophone: (
    <>
      <path d="M30 54 L80 46 v14 L36 64 z M80 48 C120 42 140 50 150 72 M80 60 C106 56 122 62 128 80" />
      <path d="M128 80 L206 186 C252 212 338 206 352 168 C360 144 378 126 418 128 L366 80 C326 108 310 130 302 156 C292 184 254 186 236 166 L150 72 z" />
      {[0, 1, 2, 3].map((i) => (
        <circle key={i} cx={160 + i * 15} cy={101 + i * 18} r="6" />
      ))}
      <path d="M120 66 q10 -14 24 -8 M134 96 L196 180 M214 128 q16 -4 18 12 M46 52 v12 M62 50 v12" />
    </>
  ),
  "valved-brass": (
    <>
      <path d="M24 66 v24 l16 -6 h250 M40 72 h250" />
      <path d="M290 66 C350 66 350 152 290 152 H120 C92 152 92 112 120 112 H360 C420 112 446 92 492 62 v94 C446 128 420 128 360 128 H130" />
      {[196, 226, 256].map((x) => (
        <path key={x} d={`M${x} 58 h22 v110 h-22 z M${x + 11} 58 v-16 M${x + 3} 42 h16`} />
      ))}
      <path d="M278 138 h34 v16 h-34 M118 152 v14 M326 152 l10 14 M290 60 q14 -10 22 2" />
    </>
  ),
  slide: (
    <>
      <path d="M44 62 v20 l14 -5 h200 M58 67 h200 M100 72 H470 M470 72 C488 72 488 128 470 128 H100 M258 62 v76" />
      <path d="M100 122 H300 M100 134 H300 M150 74 v50 M196 74 v50" />
      <path d="M100 128 C52 128 52 172 100 172 H250 C330 172 380 164 430 146 v50 C380 182 330 182 250 182 H92" />
      <path d="M470 128 v12 M478 100 h16 M210 138 l-8 12 M224 134 v40" />
    </>
  ),
  "upper-strings": (
    <>
      <path d="M40 96 q-22 4 -18 20 q6 14 22 4 M44 100 H196 v12 H44 M60 100 v-14 M84 100 v-14 M72 112 v14 M96 112 v14" />
      <path d="M196 84 C206 58 250 48 284 66 C296 78 320 78 332 64 C380 40 456 54 468 106 C456 158 380 172 332 148 C320 134 296 134 284 146 C250 164 206 154 196 128 z" />
      <path d="M110 98 H300 L300 114 H110 z M352 78 v56 h7 v-56 z M382 96 H446 L452 106 L446 116 H382 z" />
      <path d="M310 88 q10 8 4 14 M310 124 q10 -8 4 -14 M420 138 C440 132 458 126 466 114 M390 100 v12" />
    </>
  ),
  "low-strings": (
    <>
      <path d="M36 96 q-22 4 -18 20 q6 14 22 4 M40 100 H176 v12 H40 M54 100 v-14 M78 100 v-14 M66 112 v14 M90 112 v14" />
      <path d="M176 76 C188 44 236 34 272 56 C286 70 312 70 326 52 C376 24 444 44 456 106 C444 168 376 188 326 160 C312 142 286 142 272 156 C236 178 188 168 176 136 z" />
      <path d="M100 98 H290 L290 114 H100 z M344 72 v68 h7 v-68 z M372 94 H432 L440 106 L432 118 H372 z" />
      <path d="M300 84 q10 8 4 16 M300 128 q10 -8 4 -16 M456 106 H504 M498 101 l8 5 l-8 5 M382 99 v14" />
    </>
  ),
  "drums-and-bars": (
    <>
      <ellipse cx="130" cy="74" rx="98" ry="26" />
      <path d="M32 74 v58 C32 166 228 166 228 132 V74 M32 84 C32 118 228 118 228 84 M70 96 v52 M130 102 v54 M190 96 v52 M222 104 l18 8 M130 160 v34 M100 196 h60" />
      <path d="M270 60 h224 M262 150 h240 M270 60 L262 150 M494 60 L502 150" />
      {[284, 312, 340, 368, 396, 424, 452].map((x) => (
        <rect key={x} x={x} y="76" width="22" height="60" />
      ))}
      {[298, 326, 382, 410, 438].map((x) => (
        <rect key={x} x={x} y="46" width="16" height="26" />
      ))}
      <path d="M310 152 v34 M440 152 v34 M476 110 L508 190" />
      <circle cx="474" cy="106" r="6" />
    </>
  ),
};
