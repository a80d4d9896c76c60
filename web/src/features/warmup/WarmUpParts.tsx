import clsx from "clsx";
import { ArrowDown, ArrowUp, Minus, Plus, X } from "lucide-react";
import type { WarmUp, WarmUpDraft } from "../../api/types";
import { IconButton } from "../../ui/parts";
import { moved } from "../line/line";
import { PartDemonstration } from "./PartDemonstration";
import { draftOf, minutesWords, stepped } from "./warmUp";

type Parts = WarmUpDraft["parts"];

interface Props {
  plan: WarmUp;
  chosen: number;
  onChoose: (at: number) => void;
  /** Where the plan may be changed. */
  onChange?: (parts: Parts) => void;
}

/** The parts in order, each with its minutes, how it is done and why it is there. */
export function WarmUpParts({ plan, chosen, onChoose, onChange }: Props) {
  const parts = draftOf(plan).parts;
  const set = (at: number, minutes: number) =>
    onChange?.(parts.map((part, i) => (i === at ? { ...part, minutes } : part)));
  return (
    <ol aria-label="Parts of the warm-up">
      {plan.parts.map((part, i) => (
        <li
          key={`${part.kind} ${i}`}
          className={clsx("border-b border-[var(--hairline)] px-3 py-2.5", i === chosen && "bg-base-200")}
        >
          <div className="flex items-center gap-2">
            <button
              type="button"
              aria-pressed={i === chosen}
              onClick={() => onChoose(i)}
              className="flex-1 text-left text-[1.1rem] font-semibold hover:underline"
            >
              <span className="soft mr-1 font-normal">{i + 1}</span> {part.title}
            </button>
            <b>{minutesWords(part.minutes)}</b>
            {onChange && (
              <span className="flex">
                <IconButton
                  label={`Less time for ${part.title}`}
                  onPress={() => set(i, stepped(part.minutes, -1))}
                >
                  <Minus size={15} aria-hidden />
                </IconButton>
                <IconButton
                  label={`More time for ${part.title}`}
                  onPress={() => set(i, stepped(part.minutes, 1))}
                >
                  <Plus size={15} aria-hidden />
                </IconButton>
                <IconButton
                  label={`${part.title} earlier`}
                  off={i === 0}
                  onPress={() => onChange(moved(parts, i, -1))}
                >
                  <ArrowUp size={15} aria-hidden />
                </IconButton>
                <IconButton
                  label={`${part.title} later`}
                  off={i === parts.length - 1}
                  onPress={() => onChange(moved(parts, i, 1))}
                >
                  <ArrowDown size={15} aria-hidden />
                </IconButton>
                <IconButton
                  label={`Leave ${part.title} out`}
                  off={parts.length === 1}
                  onPress={() => onChange(parts.filter((_, n) => n !== i))}
                >
                  <X size={15} aria-hidden />
                </IconButton>
              </span>
            )}
          </div>
          <ul className="mt-1 ml-5">
            {part.how.map((how) => (
              <li key={how}>{how}</li>
            ))}
            {part.why.map((why) => (
              <li key={why} className="small soft">
                {why}
              </li>
            ))}
          </ul>
          <PartDemonstration
            part={part}
            onChange={
              onChange &&
              ((demonstrationId) =>
                onChange(parts.map((one, n) => (n === i ? { ...one, demonstrationId } : one))))
            }
          />
        </li>
      ))}
    </ol>
  );
}
