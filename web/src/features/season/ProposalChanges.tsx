import type { PlanOption, PlanProposal } from "../../api/types";
import { counted } from "../../ui/words";

/** More than a screen of reasons is not read. */
const READ = 40;

interface Props {
  proposal: PlanProposal;
  busy: boolean;
  onTake: (itemId: string) => void;
  onLook: (monday: string) => void;
  onOption: (itemId: string, way: PlanOption) => void;
}

/** Every change with its reason, what does not fit with the ways to make it fit, and what stays. */
export function ProposalChanges({ proposal, busy, onTake, onLook, onOption }: Props) {
  return (
    <div
      className="max-h-[calc(100dvh-11.5rem)] min-w-0 overflow-y-auto pr-1"
      tabIndex={0}
      role="region"
      aria-label="Changes"
    >
      <ol>
        {proposal.changes.slice(0, READ).map((change, i) => (
          <li
            key={change.itemId}
            id={`change-${change.itemId}`}
            className="border-b border-[var(--hairline)] py-2"
          >
            <div className="flex items-baseline gap-2">
              <b className="display text-[1.02rem]">{change.name}</b>
              <button
                type="button"
                className={`whitespace-nowrap font-semibold ${change.to ? "text-primary underline" : "text-error"}`}
                disabled={!change.to}
                onClick={() => change.to && onLook(change.to)}
              >
                {change.words}
              </button>
              <button
                type="button"
                className="ml-auto rounded-md border-[1.5px] border-current px-2 text-[0.85rem] whitespace-nowrap"
                aria-label={`Take this change: ${change.name}, ${change.words}`}
                disabled={busy}
                onClick={() => onTake(change.itemId)}
              >
                {i < 9 ? <b>{i + 1}</b> : "take"}
              </button>
            </div>
            <p className="text-[0.95rem]">{change.why}</p>
          </li>
        ))}
      </ol>
      {proposal.changes.length > READ && (
        <p className="soft py-2">and {counted(proposal.changes.length - READ, "more change")}</p>
      )}
      {proposal.leftOut.map((left) => (
        <section
          key={left.itemId}
          aria-label={`${left.name} does not fit`}
          className="my-2 rounded-xl bg-[color-mix(in_oklab,var(--color-error)_9%,transparent)] px-3 py-2.5"
        >
          <p>
            <b className="display">{left.name}</b>{" "}
            <span className="text-error font-semibold">does not fit</span>
          </p>
          <p className="text-[0.95rem]">{left.why}</p>
          {left.consequence && <p className="text-[0.95rem]">{left.consequence}</p>}
          <div className="mt-1.5 flex flex-wrap gap-1.5">
            {left.options.map((way) => (
              <button
                key={way.kind + way.words}
                type="button"
                disabled={busy}
                className="bg-base-100 rounded-full border-[1.5px] border-[var(--hairline)] px-3 py-0.5 text-left text-[0.9rem]"
                onClick={() => onOption(left.itemId, way)}
              >
                {way.words}
                <span className="soft">
                  {" "}
                  · {way.more > 0 ? "+" : way.more < 0 ? "−" : "±"}
                  {Math.abs(way.more)}
                </span>
              </button>
            ))}
          </div>
        </section>
      ))}
      {proposal.stays.length > 0 && (
        <div className="pt-2">
          <p className="soft">Stays where it is</p>
          {proposal.stays.map((words) => (
            <p key={words} className="text-[0.95rem]">
              {words}
            </p>
          ))}
        </div>
      )}
    </div>
  );
}
