import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import { Problem, put } from "../../api/http";
import type { PlanClass, PlanSettings } from "../../api/types";
import { scopeSearch, useScope } from "../../app/scope";
import { Field, SelectField } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { looks } from "../../ui/looks";
import { useToast } from "../../ui/toasts";
import { FingerPatternForm } from "./FingerPatternForm";
import { planQuery, planSettingsQuery } from "./plan.queries";

const pacings: readonly [PlanClass["pacing"], string][] = [
  ["IN_STEP_WITH_CARRY_OVER", "In step, with minutes kept for carry-over"],
  ["IN_STEP", "Everybody in step by week"],
  ["MASTERY", "Each section at its own pace"],
];

const prices: readonly [Exclude<keyof PlanSettings, "maxNewNotes" | "fullPercent">, string][] = [
  ["overPerMinute", "A minute above the minutes there are"],
  ["unevenPerMinute", "A minute above the even share"],
  ["orderPerWeek", "A week by which two lines of a book are turned round"],
  ["marginPerWeek", "A week nearer to a date than its margin"],
  ["movedEach", "Moving something from its week of today"],
  ["movedPerWeek", "And each week of that distance"],
  ["dropPerValue", "Leaving something out, times its value"],
  ["essential", "Leaving out something essential, besides"],
  ["lateEach", "A date that is missed"],
  ["latePerWeek", "And each week past it"],
  ["brokenNeed", "A need of something pinned that comes too late"],
];

/** How plans are made: pacing of the class, pace of its sections, rules and prices of the programme. */
export function PlanSettingsPage() {
  const { scope, search, allClasses } = useScope();
  const plan = useQuery(planQuery(scope.classId ? [scope.classId] : []));
  const settings = useQuery(planSettingsQuery);
  if (allClasses) return <Empty>Choose a class at the left to see its pacing.</Empty>;
  const failed = [plan, settings].find((q) => q.isError);
  if (failed?.error) return <Failed error={failed.error} again={() => void failed.refetch()} />;
  const one = plan.data?.classes.find((c) => c.id === scope.classId);
  if (!one || !settings.data) return <Skeleton rows={8} />;
  return (
    <>
      <Heading title={`Pacing and prices, ${one.name}`} words="what a plan may do, and what it pays for">
        <Link className="underline" to={{ pathname: "/season", search: scopeSearch(search, {}) }}>
          Back to the season
        </Link>
      </Heading>
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
        <div className="grid content-start gap-8">
          <PacingForm key={one.id} one={one} />
          <SectionPaces one={one} />
          {one.sections.some((section) => section.family === "STRING") && (
            <FingerPatternForm classId={one.id} />
          )}
        </div>
        <PricesForm settings={settings.data} />
      </div>
    </>
  );
}

function useKept(words: string) {
  const client = useQueryClient();
  const toast = useToast();
  return async () => {
    toast(words);
    await client.invalidateQueries({ queryKey: ["progress"] });
  };
}

function PacingForm({ one }: { one: PlanClass }) {
  const [pacing, setPacing] = useState(one.pacing);
  const [reserve, setReserve] = useState(one.reservePercent);
  const kept = useKept("The pacing is kept");
  const save = useMutation({
    mutationFn: () =>
      put(at("/api/season/plan/classes/{classId}", { classId: one.id }), { pacing, reservePercent: reserve }),
    onSuccess: kept,
  });
  return (
    <form
      className="grid gap-4"
      aria-label="Pacing"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <h2 className="text-[1.3rem]">Pacing</h2>
      <SelectField
        label="Sections of the class go"
        value={pacing}
        hint={
          pacing === "MASTERY"
            ? "Every thing not ordered yet becomes one for each section, with a week of its own."
            : undefined
        }
        onChange={(e) => setPacing(e.target.value as PlanClass["pacing"])}
      >
        {pacings.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
      {pacing === "IN_STEP_WITH_CARRY_OVER" && (
        <Field
          label="Percent of each week’s minutes kept for carry-over"
          type="number"
          min={0}
          max={90}
          value={reserve}
          onChange={(e) => setReserve(Number(e.target.value))}
        />
      )}
      {save.isError && <Failed error={save.error} />}
      <div>
        <Button type="submit" look="primary" disabled={save.isPending}>
          Keep
        </Button>
      </div>
    </form>
  );
}

function SectionPaces({ one }: { one: PlanClass }) {
  const kept = useKept("The pace of the section is kept");
  const save = useMutation({
    mutationFn: (body: { instrument: string; pacePercent: number }) =>
      put(at("/api/season/plan/classes/{classId}/pace", { classId: one.id }), body),
    onSuccess: kept,
  });
  return (
    <section aria-label="Pace of sections">
      <h2 className="mb-2 text-[1.3rem]">Pace of sections</h2>
      <p className="soft mb-2">
        A section that needs longer takes more of each week’s minutes, one that runs ahead fewer. Propose a
        plan afterwards.
      </p>
      {save.isError && <Failed error={save.error} />}
      <ul className="border-t border-[var(--hairline)]">
        {one.sections.map((section) => (
          <li
            key={section.instrument}
            className="flex items-center justify-between border-b border-[var(--hairline)] py-1.5"
          >
            <span>{section.name}</span>
            <select
              aria-label={`Pace of ${section.name}`}
              className={`${looks.smallSelect} w-44`}
              value={section.pacePercent}
              onChange={(e) =>
                save.mutate({ instrument: section.instrument, pacePercent: Number(e.target.value) })
              }
            >
              {[...new Set([70, 85, 100, 110, 125, 150, 175, 200, section.pacePercent])]
                .sort((a, b) => a - b)
                .map((percent) => (
                  <option key={percent} value={percent}>
                    {percent === 100 ? "as planned" : `${percent} % of the minutes`}
                  </option>
                ))}
            </select>
          </li>
        ))}
      </ul>
    </section>
  );
}

function PricesForm({ settings }: { settings: PlanSettings }) {
  const [now, setNow] = useState(settings);
  const kept = useKept("Rules and prices are kept");
  const save = useMutation({
    mutationFn: () => put(at("/api/season/plan/settings"), now),
    onSuccess: kept,
  });
  const number = (key: keyof PlanSettings, label: string, most: number) => (
    <Field
      key={key}
      label={label}
      type="number"
      min={0}
      max={most}
      required
      value={now[key]}
      error={
        save.error instanceof Problem && save.error.field?.endsWith(key) ? save.error.message : undefined
      }
      onChange={(e) => setNow({ ...now, [key]: Number(e.target.value) })}
    />
  );
  return (
    <form
      aria-label="Rules and prices"
      className="grid content-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <h2 className="text-[1.3rem]">Rules, for every class</h2>
      <div className="grid grid-cols-2 gap-4">
        {number("maxNewNotes", "New notes a week for a section", 100)}
        {number("fullPercent", "A week holds at most, in percent of its minutes", 1000)}
      </div>
      <details>
        <summary className="cursor-pointer font-semibold">Prices, in points</summary>
        <p className="soft my-2">
          One point is one minute above the even share of a week. Every figure on the season is a sum of
          these.
        </p>
        <div className="grid grid-cols-2 gap-x-4 gap-y-3">
          {prices.map(([key, words]) => number(key, words, 1_000_000_000_000))}
        </div>
      </details>
      {save.isError && <Failed error={save.error} />}
      <div>
        <Button type="submit" look="primary" disabled={save.isPending}>
          Keep
        </Button>
      </div>
    </form>
  );
}
