import clsx from "clsx";
import type { ReactNode } from "react";
import type { CheckView } from "../../api/types";

const vantages: Record<CheckView["seenFrom"], string> = {
  FRONT: "Seen from the front",
  SIDE: "Seen from the side",
  ABOVE: "Seen from above",
  NEAR: "Seen close by, at the stand",
  BY_EAR: "Heard",
};

/** Everything a check says, as one sheet: how it is done, what to look for, what goes wrong and what to try. */
export function CheckSheet({ check, passRule }: { check: CheckView; passRule?: string }) {
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <div className="grid content-start gap-6">
        {check.why && <p className="border-l-[3.5px] border-[var(--hairline)] pl-3 italic">{check.why}.</p>}
        <Part name="How it is done">
          <ol className="list-outside list-decimal pl-5">
            {check.steps.map((step, i) => {
              const cue = check.cues.find((c) => c.step === i + 1);
              return (
                <li key={step} className="py-0.5">
                  {cue ? <b>{step}</b> : step}
                  {cue && <span className="soft"> {cue.fullStep}</span>}
                </li>
              );
            })}
          </ol>
        </Part>
        {check.syllables.length > 0 && (
          <Part name="Syllables by style">
            <ul className="flex flex-wrap gap-x-6 gap-y-1">
              {check.syllables.map((s) => (
                <li key={s.style}>
                  <span className="soft">{s.style}</span> <b>{s.syllable}</b>
                </li>
              ))}
            </ul>
          </Part>
        )}
        <Part
          name={passRule ? `${vantages[check.seenFrom]}, passes by ${passRule}` : vantages[check.seenFrom]}
        >
          <ul>
            {check.criteria.map((criterion, i) => (
              <li
                key={criterion}
                className={clsx(
                  "border-b border-[var(--hairline)] py-1",
                  check.mustSee.includes(i + 1) && "underline underline-offset-4",
                )}
              >
                {criterion}
              </li>
            ))}
          </ul>
        </Part>
        {check.measured && (
          <p>
            <b>{check.measured.name}</b> is kept in {check.measured.unit} with every try, towards{" "}
            {check.measured.aim} {check.measured.unit}
          </p>
        )}
        {check.notFor && (
          <Part name="Does not fit everybody">
            <p>{check.notFor}</p>
          </Part>
        )}
        {check.backTo && (
          <p>
            <span className="soft">If it fails, back a stage: </span>
            {check.backTo}
          </p>
        )}
        {check.selfTest && (
          <Part name="Quick self-test">
            <p>{check.selfTest}</p>
          </Part>
        )}
        {check.cautions.length > 0 && (
          <ul className="border-l-[3.5px] border-[var(--now)] pl-3">
            {check.cautions.map((caution) => (
              <li key={caution} className="small py-0.5">
                {caution}
              </li>
            ))}
          </ul>
        )}
      </div>
      <div className="grid content-start gap-6">
        <Part name="From symptom to remedy, in the order to try">
          <Remedies check={check} />
        </Part>
        {check.variants.length > 0 && (
          <Part name="Variants">
            <ul>
              {check.variants.map((variant) => (
                <li key={variant.name} className="border-b border-[var(--hairline)] py-1.5">
                  <b>{variant.name}</b>: {variant.note}
                  <span className="small soft"> · review after {variant.reviewWeeks} weeks</span>
                </li>
              ))}
            </ul>
          </Part>
        )}
      </div>
    </div>
  );
}

function Remedies({ check }: { check: CheckView }) {
  return (
    <dl className="grid grid-cols-[repeat(auto-fill,minmax(min(100%,19rem),1fr))] gap-x-8 gap-y-2.5">
      {check.faults.map((fault) => (
        <div key={fault.sign} className="break-inside-avoid">
          <dt className="font-semibold">{fault.sign}</dt>
          <dd>
            <ol className="soft list-outside list-decimal pl-5">
              {fault.remedies.map((remedy) => (
                <li key={remedy}>{remedy}</li>
              ))}
            </ol>
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">{name}</h2>
      {children}
    </section>
  );
}
