import clsx from "clsx";
import type { LineAnalysis } from "../../api/types";
import { agreeing } from "../../ui/words";

interface Props {
  analysis: LineAnalysis;
  /** Place in the played order that sounds; -1 for none. */
  place: number;
  words: string;
}

/** The measures in the order really played. A later pass is set lower, a jump back begins with an arc. */
export function RoadmapRibbon({ analysis, place, words }: Props) {
  return (
    <section aria-label="Roadmap">
      <p className="small soft mb-1">
        In the order played: {analysis.playedMeasures}{" "}
        {agreeing(analysis.playedMeasures, "measure", "measures")}, {words}
      </p>
      <ol className="flex flex-wrap gap-y-2">
        {analysis.order.map((played, i) => {
          const before = analysis.order[i - 1];
          const jumps = before && played.index !== before.index + 1;
          const measure = analysis.measures[played.index];
          const signs = [measure?.signs, measure?.tempo].filter(Boolean).join(", ");
          return (
            <li
              key={i}
              title={signs || undefined}
              className={clsx(
                "grid h-9 min-w-9 place-items-center border-y-[1.5px] border-r-[1.5px] px-1.5 text-[0.9rem]",
                i === 0 || jumps ? "border-l-[3px]" : "",
                jumps && "ml-1.5",
                place === i ? "bg-neutral text-neutral-content border-neutral" : "border-base-content",
                place !== i && played.pass > 1 && "bg-base-200",
              )}
            >
              <span>
                {played.number === 0 ? "up" : played.number}
                {signs && <span aria-hidden>·</span>}
                <span className="sr-only">{signs && `, ${signs}`}</span>
              </span>
            </li>
          );
        })}
      </ol>
      <details className="mt-2">
        <summary className="small cursor-pointer">How every measure is counted</summary>
        <p className="mt-1 flex flex-wrap gap-x-6 gap-y-0.5">
          {analysis.measures.map((measure) => (
            <span key={measure.index}>
              <span className="soft small">{measure.number === 0 ? "up" : measure.number}</span>{" "}
              {measure.spoken}
            </span>
          ))}
        </p>
        <p className="small soft mt-1">Held in round brackets, silent in square ones.</p>
      </details>
    </section>
  );
}
