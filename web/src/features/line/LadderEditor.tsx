import { ArrowDown, ArrowUp, X } from "lucide-react";
import type { Ladder, LadderDraft } from "../../api/types";
import { duration } from "../../app/days";
import { IconButton } from "../../ui/parts";
import { draftOf, moved, silentSteps } from "./line";
import { looks } from "../../ui/looks";

interface Props {
  ladder: Ladder;
  busy: boolean;
  onChange: (draft: LadderDraft) => void;
}

type Draft = LadderDraft["steps"][number];

/** A kept ladder to change: order, tempo, repetitions, a note; every change is kept and timed anew. */
export function LadderEditor({ ladder, busy, onChange }: Props) {
  const draft = draftOf(ladder);
  const change = (steps: Draft[]) => onChange({ ...draft, steps });
  const set = (at: number, part: Partial<Draft>) =>
    change(draft.steps.map((step, i) => (i === at ? { ...step, ...part } : step)));
  return (
    <ol aria-busy={busy}>
      {ladder.steps.map((step, i) => (
        <li key={`${i}-${step.what}`} className="border-b border-[var(--hairline)] py-1.5">
          <div className="grid grid-cols-[1.6rem_1fr_3.6rem_auto] items-center gap-x-1">
            <b>{i + 1}</b>
            <span>{step.what}</span>
            <span className="soft text-right">{duration(step.seconds)}</span>
            <span className="flex">
              <IconButton
                label={`Step ${i + 1} earlier`}
                off={i === 0}
                onPress={() => change(moved(draft.steps, i, -1))}
              >
                <ArrowUp size={15} aria-hidden />
              </IconButton>
              <IconButton
                label={`Step ${i + 1} later`}
                off={i === ladder.steps.length - 1}
                onPress={() => change(moved(draft.steps, i, 1))}
              >
                <ArrowDown size={15} aria-hidden />
              </IconButton>
              <IconButton
                label={`Leave step ${i + 1} out`}
                off={ladder.steps.length === 1}
                onPress={() => change(draft.steps.filter((_, n) => n !== i))}
              >
                <X size={15} aria-hidden />
              </IconButton>
            </span>
          </div>
          <div className="mt-0.5 ml-[1.6rem] flex flex-wrap items-center gap-3">
            {!silentSteps.has(step.kind) && (
              <Count
                label={`Tempo of step ${i + 1}`}
                sign="♩ ="
                value={step.tempoBpm}
                min={20}
                max={400}
                onSet={(tempoBpm) => set(i, { tempoBpm })}
              />
            )}
            {step.kind === "BOWS" && (
              <BowsField
                bows={step.bows}
                label={`Bows to a note of step ${i + 1}`}
                onSet={(bows) => set(i, { bows })}
              />
            )}
            {!silentSteps.has(step.kind) && (
              <Count
                label={`Times of step ${i + 1}`}
                sign="×"
                value={step.repetitions}
                min={1}
                max={20}
                onSet={(repetitions) => set(i, { repetitions })}
              />
            )}
            <input
              aria-label={`Note to step ${i + 1}`}
              placeholder="A word to it"
              maxLength={200}
              className={`${looks.smallInput} min-w-40 flex-1`}
              defaultValue={step.note}
              onBlur={(event) => event.target.value !== step.note && set(i, { note: event.target.value })}
            />
          </div>
        </li>
      ))}
    </ol>
  );
}

interface BowsProps {
  bows: readonly number[];
  label: string;
  onSet: (bows: number[]) => void;
}

/** "3 2 1": bows to every note in one run after another. */
function BowsField({ bows, label, onSet }: BowsProps) {
  return (
    <label className="flex items-center gap-1.5">
      <span className="soft">bows</span>
      <input
        aria-label={label}
        key={bows.join()}
        defaultValue={bows.join(" ")}
        className={`${looks.smallInput} w-24`}
        onBlur={(event) => {
          const next = event.target.value
            .split(/[^0-9]+/)
            .filter(Boolean)
            .map(Number);
          const fits = next.length > 0 && next.length <= 6 && next.every((n) => n >= 1 && n <= 8);
          if (fits && next.join() !== bows.join()) onSet(next);
          else event.target.value = bows.join(" ");
        }}
      />
    </label>
  );
}

interface CountProps {
  label: string;
  sign: string;
  value: number;
  min: number;
  max: number;
  onSet: (value: number) => void;
}

function Count({ label, sign, value, min, max, onSet }: CountProps) {
  return (
    <label className="flex items-center gap-1.5">
      <span className="soft">{sign}</span>
      <input
        type="number"
        aria-label={label}
        key={value}
        defaultValue={value}
        min={min}
        max={max}
        className={`${looks.smallInput} w-20`}
        onBlur={(event) => {
          const next = Number(event.target.value);
          if (Number.isInteger(next) && next >= min && next <= max && next !== value) onSet(next);
          else event.target.value = String(value);
        }}
      />
    </label>
  );
}
