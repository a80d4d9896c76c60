import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Plus, X } from "lucide-react";
import { useState } from "react";
import { at } from "../../api/at";
import { put } from "../../api/http";
import type { GradeSettings, Grading, MarkingPeriodDraft } from "../../api/types";
import { Cell, SelectField, Tick } from "../../ui/Field";
import { Button, IconButton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { changed, numberOf, without } from "../playingtests/testDraft";
import { gradedKinds, toSend } from "./grades";

interface Props {
  grading: Grading;
  onDone: () => void;
}

/** Weights, scale, what is not yet passed or never heard, and the marking periods. */
export function GradeSettingsForm({ grading, onDone }: Props) {
  const [settings, setSettings] = useState<GradeSettings>(grading.settings);
  const [periods, setPeriods] = useState<MarkingPeriodDraft[]>(grading.periods);
  const client = useQueryClient();
  const toast = useToast();
  const change = (more: Partial<GradeSettings>) => setSettings((now) => ({ ...now, ...more }));
  const save = useMutation({
    mutationFn: async () => {
      await put<void>(at("/api/grades/settings"), toSend(settings));
      await put<void>(at("/api/grades/periods"), { periods });
    },
    onSuccess: async () => {
      toast("Kept; every grade is told anew");
      await client.invalidateQueries({ queryKey: ["grading"] });
      await client.invalidateQueries({ queryKey: ["progress"] });
      onDone();
    },
  });
  const number = "!w-16 text-center";
  return (
    <form
      className="grid gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <div className="grid gap-x-10 gap-y-5 lg:grid-cols-2">
        <div className="grid content-start gap-4">
          <fieldset>
            <legend className="mb-1.5 font-semibold">
              What each kind weighs <span className="small soft font-normal">0 counts nothing</span>
            </legend>
            <div className="flex flex-wrap gap-x-5 gap-y-2">
              {gradedKinds.map(([kind, name]) => (
                <label key={kind} className="flex items-center gap-2">
                  {name}
                  <Cell
                    aria-label={`Weight of ${name}`}
                    inputMode="numeric"
                    className={number}
                    value={settings.weights[kind] ?? 0}
                    onChange={(event) =>
                      change({
                        weights: { ...settings.weights, [kind]: numberOf(event.target.value) ?? 0 },
                      })
                    }
                  />
                </label>
              ))}
            </div>
          </fieldset>
          <p className="flex flex-wrap items-center gap-1.5">
            Tried and not yet passed is worth
            <Cell
              aria-label="What is not yet passed is worth, in percent"
              inputMode="numeric"
              className={number}
              value={settings.notYetPercent}
              onChange={(event) => change({ notYetPercent: numberOf(event.target.value) ?? 0 })}
            />
            %.
          </p>
          <SelectField
            label="What was never heard"
            small
            value={settings.unheard}
            onChange={(event) => change({ unheard: event.target.value as GradeSettings["unheard"] })}
          >
            <option value="LEFT_OUT">is left out</option>
            <option value="NOTHING">counts as nothing</option>
          </SelectField>
          <Tick
            label="What two classes set counts in both, wherever it was heard"
            checked={settings.bothClasses}
            onChange={(event) => change({ bothClasses: event.target.checked })}
          />
        </div>
        <div className="grid content-start gap-4">
          <SelectField
            label="Scale"
            small
            value={settings.scale}
            onChange={(event) => change({ scale: event.target.value as GradeSettings["scale"] })}
          >
            <option value="PERCENT">percent</option>
            <option value="POINTS">points</option>
            <option value="STEPS">steps in your own words, as the standards 1 to 4</option>
          </SelectField>
          {settings.scale === "POINTS" && (
            <p className="flex items-center gap-1.5">
              up to
              <Cell
                aria-label="Most points"
                className={number}
                value={settings.mostPoints ?? ""}
                onChange={(event) => change({ mostPoints: numberOf(event.target.value) })}
              />
              points
            </p>
          )}
          {settings.scale === "STEPS" && (
            <div>
              <ol className="grid gap-1.5">
                {settings.steps.map((step, i) => (
                  <li key={i} className="flex items-center gap-1.5">
                    from
                    <Cell
                      aria-label={`Step ${i + 1} begins at, in percent`}
                      className={number}
                      value={step.fromPercent}
                      onChange={(event) =>
                        change({
                          steps: changed(settings.steps, i, {
                            fromPercent: numberOf(event.target.value) ?? 0,
                          }),
                        })
                      }
                    />
                    %
                    <Cell
                      aria-label={`Words of step ${i + 1}`}
                      maxLength={40}
                      className="!w-40"
                      value={step.words}
                      onChange={(event) =>
                        change({ steps: changed(settings.steps, i, { words: event.target.value }) })
                      }
                    />
                    <IconButton
                      label={`Take step ${i + 1} away`}
                      onPress={() => change({ steps: without(settings.steps, i) })}
                    >
                      <X size={17} aria-hidden />
                    </IconButton>
                  </li>
                ))}
              </ol>
              <Button
                small
                look="quiet"
                className="-ml-3"
                onClick={() => change({ steps: [...settings.steps, { fromPercent: 100, words: "" }] })}
              >
                <Plus size={16} aria-hidden /> A step
              </Button>
            </div>
          )}
          <fieldset>
            <legend className="mb-1.5 font-semibold">Marking periods</legend>
            <ol className="grid gap-1.5">
              {periods.map((period, i) => (
                <li key={i} className="flex flex-wrap items-center gap-1.5">
                  <Cell
                    aria-label={`Name of marking period ${i + 1}`}
                    maxLength={40}
                    className="!w-36"
                    value={period.name}
                    onChange={(event) => setPeriods(changed(periods, i, { name: event.target.value }))}
                  />
                  <Cell
                    type="date"
                    aria-label={`First day of marking period ${i + 1}`}
                    className="!w-40"
                    value={period.first}
                    onChange={(event) => setPeriods(changed(periods, i, { first: event.target.value }))}
                  />
                  to
                  <Cell
                    type="date"
                    aria-label={`Last day of marking period ${i + 1}`}
                    className="!w-40"
                    value={period.last}
                    onChange={(event) => setPeriods(changed(periods, i, { last: event.target.value }))}
                  />
                  <IconButton
                    label={`Take marking period ${i + 1} away`}
                    onPress={() => setPeriods(without(periods, i))}
                  >
                    <X size={17} aria-hidden />
                  </IconButton>
                </li>
              ))}
            </ol>
            <Button
              small
              look="quiet"
              className="-ml-3"
              onClick={() => setPeriods([...periods, { name: "", first: "", last: "" }])}
            >
              <Plus size={16} aria-hidden /> A marking period
            </Button>
          </fieldset>
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-4">
        <p className="text-error grow font-semibold" role={save.error ? "alert" : undefined}>
          {save.error?.message}
        </p>
        <Button look="quiet" onClick={onDone}>
          Leave without keeping
        </Button>
        <Button look="primary" type="submit" disabled={save.isPending}>
          Keep
        </Button>
      </div>
    </form>
  );
}
