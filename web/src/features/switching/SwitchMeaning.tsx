import type { ReactNode } from "react";
import { shortDay } from "../../app/days";
import type { SwitchView } from "../../api/types";
import { BeltStrip } from "../../ui/BeltStrip";
import { Failed } from "../../ui/parts";
import { HandStrip } from "./HandStrip";
import { noteName } from "../../ui/notes";

type Things = SwitchView["counts"];

/** What one change means: what comes along, what stays, what opens, and which belts it touches. */
export function SwitchMeaning({ view }: { view: SwitchView }) {
  if (view.refused) return <Failed error={new Error(`${view.name}: ${view.refused}`)} />;
  const from = view.fromName?.toLowerCase() ?? "";
  return (
    <div className="grid content-start gap-4">
      <HandStrip view={view} />
      <dl className="grid gap-x-8 gap-y-2 lg:grid-cols-2 print:grid-cols-2">
        <Kind title="Comes along" of={view.counts}>
          nothing instrument-free was passed yet
        </Kind>
        <Kind title={`Stays on record for ${from}`} of={view.staysOnRecord}>
          nothing was passed on {from} yet
        </Kind>
        {view.passedBefore.length > 0 && (
          <Kind title={`Passed on ${view.toName.toLowerCase()} before`} of={view.passedBefore} />
        )}
        {view.noLongerAsked.length > 0 && <Kind title="No longer asked" of={view.noLongerAsked} />}
        {view.alsoOn.length > 0 && (
          <div>
            <dt className="font-semibold">Plays {from} on</dt>
            <dd>in {view.alsoOn.join(" and ")}</dd>
          </div>
        )}
      </dl>
      <section aria-label="Opens anew">
        <h3 className="display text-[1.06rem] font-bold">
          Opens anew <span className="small soft font-normal">{view.opensAnew.length}</span>
        </h3>
        {view.opensAnew.length === 0 ? (
          <p className="soft">Nothing: what this section was set is passed.</p>
        ) : (
          <ul className="lg:columns-2 print:columns-3">
            {view.opensAnew.map((one) => (
              <li
                key={one.milestoneId}
                className="flex items-baseline gap-2 border-b border-[var(--hairline)] py-0.5"
              >
                <b className="whitespace-nowrap">{one.shortName}</b>
                <span className="small soft truncate" title={one.title}>
                  {one.dueOn
                    ? `due ${shortDay(one.dueOn)} with the section`
                    : one.known
                      ? "every note known"
                      : one.newNotes.length > 0
                        ? `new: ${one.newNotes.map(noteName).join(", ")}`
                        : one.title}
                </span>
              </li>
            ))}
          </ul>
        )}
      </section>
      {view.belts.length > 0 && (
        <section aria-label="Belts it touches">
          <h3 className="display mb-1 text-[1.06rem] font-bold">Belts it touches</h3>
          <ul className="grid gap-x-8 gap-y-1 lg:grid-cols-2">
            {view.belts.map(({ belt, earnedBefore, filled, slots }) => (
              <li key={belt.id} className="flex items-center gap-2">
                <BeltStrip belt={belt} width={72} />
                <span className="leading-tight">
                  <b>{belt.name}</b>{" "}
                  <span className="small soft">
                    {earnedBefore && `earned on ${from}, it stays; `}
                    {slots === 0
                      ? `asks nothing of ${view.toName.toLowerCase()}`
                      : `${filled} of ${slots} on ${view.toName.toLowerCase()}`}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

const SHOWN = 8;

function Kind({ title, of, children }: { title: string; of: Things; children?: ReactNode }) {
  return (
    <div>
      <dt className="font-semibold">
        {title} {of.length > 0 && <span className="small soft font-normal">{of.length}</span>}
      </dt>
      <dd className={of.length > 0 ? undefined : "soft"} title={of.map((one) => one.title).join(", ")}>
        {of.length > 0 ? names(of) : children}
      </dd>
    </div>
  );
}

const names = (of: Things) =>
  of
    .slice(0, SHOWN)
    .map((one) => one.shortName)
    .join(", ") + (of.length > SHOWN ? ` and ${of.length - SHOWN} more` : "");
