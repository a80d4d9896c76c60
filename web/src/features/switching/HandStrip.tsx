import clsx from "clsx";
import type { SwitchView } from "../../api/types";
import { noteName } from "../../ui/notes";
import { handSentence } from "./switchRows";

const words = {
  ALIKE: "the same",
  SAME_FINGERS: "same fingers, sounds elsewhere",
  NEW: "new",
} as const;

/** Every note a hand knows, from low to high: filled where it stays, half where only the fingers do, open where it is new. */
export function HandStrip({ view }: { view: SwitchView }) {
  return (
    <section aria-label="What the hand keeps">
      <h3 className="display text-[1.06rem] font-bold">What the hand keeps</h3>
      <p className="mb-2">{handSentence(view)}</p>
      <ul className="flex flex-wrap gap-1.5">
        {view.hands.map((one) => (
          <li
            key={one.note}
            title={`${one.note}: ${one.was}, then ${one.is ?? "not on this instrument"}`}
            className={clsx(
              "min-w-20 rounded-lg border-[1.5px] px-2 py-1 leading-tight",
              one.kept === "NEW" ? "hairline border-dashed" : "border-base-content",
              one.kept === "ALIKE" && "bg-base-200",
            )}
          >
            <span className="flex items-center gap-1.5">
              <svg width="14" height="10" viewBox="0 0 14 10" aria-hidden="true">
                <ellipse
                  cx="7"
                  cy="5"
                  rx="5.6"
                  ry="3.9"
                  transform="rotate(-20 7 5)"
                  fill={one.kept === "ALIKE" ? "currentColor" : "none"}
                  stroke="currentColor"
                  strokeWidth="1.4"
                />
                {one.kept === "SAME_FINGERS" && (
                  <path d="M1.7 6.9 A5.6 3.9 -20 0 0 12.3 3.1 Z" fill="currentColor" />
                )}
              </svg>
              <b>{noteName(one.note)}</b>
            </span>
            <span className="small soft block">{one.is ?? "not there"}</span>
            <span className="sr-only">{words[one.kept]}</span>
          </li>
        ))}
      </ul>
      {view.hands.length > 0 && !view.keepsAll && (
        <p className="small soft mt-1">
          Filled: the same. Half: {words.SAME_FINGERS}. Open: {words.NEW}.
        </p>
      )}
    </section>
  );
}
