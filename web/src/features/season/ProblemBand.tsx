import type { PlanProblem } from "../../api/types";
import { Band, Button, Kbd } from "../../ui/parts";
import { counted } from "../../ui/words";

/** What of the plan cannot stay as it is, the nearest first, with the one move that helps. */
export function ProblemBand({
  problems,
  director,
  onShow,
  onRemedy,
}: {
  problems: readonly PlanProblem[];
  director: boolean;
  onShow: (problem: PlanProblem) => void;
  onRemedy: (problem: PlanProblem) => void;
}) {
  const [first, ...others] = problems;
  if (!first) return null;
  return (
    <Band label="Problems of the plan">
      <p className="max-w-[26rem] grow basis-48 font-semibold">{first.text}</p>
      {first.remedy && <p className="grow basis-56">{first.remedy.words}</p>}
      {first.remedy && director && (
        <Button onClick={() => onRemedy(first)}>
          <Kbd>Enter</Kbd> move it
        </Button>
      )}
      {!first.remedy && first.monday && <Button onClick={() => onShow(first)}>Look at that week</Button>}
      {others.length > 0 && (
        <details className="basis-full">
          <summary className="small cursor-pointer">{counted(others.length, "more problem")}</summary>
          <ul className="mt-1 grid max-h-40 gap-1 overflow-y-auto">
            {others.map((problem) => (
              <li key={problem.kind + (problem.monday ?? "") + problem.itemIds.join()} className="small">
                {problem.text}{" "}
                {problem.monday && (
                  <button type="button" className="underline" onClick={() => onShow(problem)}>
                    look
                  </button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </Band>
  );
}
