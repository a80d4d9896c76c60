import { Plus, X } from "lucide-react";
import { useState } from "react";
import type { RubricCriterion, RubricDraft } from "../../api/types";
import { Cell } from "../../ui/Field";
import { Button, IconButton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { changed, levelsFor, newCriterion, numberOf, without } from "./testDraft";

interface Props {
  rubric: RubricDraft;
  onChange: (rubric: RubricDraft) => void;
}

const most = (criteria: readonly RubricCriterion[]) =>
  criteria.reduce((sum, criterion) => sum + criterion.topPoints, 0);

/** Criteria with weights, floors and worded levels, and the mark that passes. */
export function RubricFields({ rubric, onChange }: Props) {
  const [open, setOpen] = useState<number>();
  const put = (criteria: RubricCriterion[]) => onChange({ ...rubric, criteria });
  const number = "!w-14 text-center";
  return (
    <div>
      <table className="w-full">
        <thead>
          <tr className="small soft text-left">
            <th className="pb-1 font-normal">Criterion</th>
            <th className="pb-1 font-normal">best</th>
            <th className="pb-1 font-normal">at least</th>
            <th className="pb-1 font-normal">weight</th>
            <th>
              <span className="sr-only">Words and away</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rubric.criteria.map((criterion, i) => (
            <tr key={i} className="align-top">
              <td className="pr-2 pb-1.5">
                <Cell
                  aria-label={`Criterion ${i + 1}`}
                  maxLength={120}
                  value={criterion.name}
                  onChange={(event) => put(changed(rubric.criteria, i, { name: event.target.value }))}
                />
                {open === i && (
                  <ol className="mt-1 grid gap-1">
                    {Array.from({ length: criterion.topPoints + 1 }, (_, points) => (
                      <li key={points} className="flex items-center gap-2">
                        <b className="w-4 text-right tabular-nums">{points}</b>
                        <Cell
                          aria-label={`${criterion.name || "Criterion"} at ${counted(points, "point")}`}
                          maxLength={240}
                          value={criterion.levels[points] ?? ""}
                          onChange={(event) => {
                            const levels = Array.from(
                              { length: criterion.topPoints + 1 },
                              (_, p) => criterion.levels[p] ?? "",
                            );
                            levels[points] = event.target.value;
                            put(changed(rubric.criteria, i, { levels }));
                          }}
                        />
                      </li>
                    ))}
                  </ol>
                )}
              </td>
              <td className="pr-2">
                <Cell
                  aria-label={`Best points of criterion ${i + 1}`}
                  inputMode="numeric"
                  className={number}
                  value={criterion.topPoints}
                  onChange={(event) => {
                    const topPoints = Math.min(9, numberOf(event.target.value) ?? 0);
                    put(changed(rubric.criteria, i, { topPoints, levels: levelsFor(criterion, topPoints) }));
                  }}
                />
              </td>
              <td className="pr-2">
                <Cell
                  aria-label={`Fewest points of criterion ${i + 1} that may pass`}
                  inputMode="numeric"
                  className={number}
                  placeholder="–"
                  value={criterion.floorPoints ?? ""}
                  onChange={(event) =>
                    put(changed(rubric.criteria, i, { floorPoints: numberOf(event.target.value) }))
                  }
                />
              </td>
              <td className="pr-2">
                <Cell
                  aria-label={`Weight of criterion ${i + 1}`}
                  inputMode="numeric"
                  className={number}
                  value={criterion.weight}
                  onChange={(event) =>
                    put(changed(rubric.criteria, i, { weight: numberOf(event.target.value) ?? 0 }))
                  }
                />
              </td>
              <td className="whitespace-nowrap">
                <span className="flex items-center">
                  <Button
                    small
                    look="quiet"
                    aria-expanded={open === i}
                    onClick={() => setOpen(open === i ? undefined : i)}
                  >
                    Words
                  </Button>
                  {rubric.criteria.length > 1 && (
                    <IconButton
                      label={`Take criterion ${i + 1} away`}
                      onPress={() => put(without(rubric.criteria, i))}
                    >
                      <X size={17} aria-hidden />
                    </IconButton>
                  )}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex flex-wrap items-center gap-x-4">
        <Button
          small
          look="quiet"
          className="-ml-3"
          onClick={() => put([...rubric.criteria, newCriterion()])}
        >
          <Plus size={16} aria-hidden /> A criterion
        </Button>
        <label className="ml-auto flex items-center gap-2">
          passes with
          <Cell
            aria-label="Points that pass"
            inputMode="numeric"
            className={number}
            value={rubric.mark}
            onChange={(event) => onChange({ ...rubric, mark: numberOf(event.target.value) ?? 0 })}
          />
          of {most(rubric.criteria)} points
        </label>
      </div>
    </div>
  );
}
