import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useEffect, useMemo } from "react";
import type { ClassView, Family, SectionView } from "../api/types";
import { Kbd } from "../ui/parts";
import { classesQuery, railQuery } from "./queries";
import {
  addressNow,
  ALL_CLASSES,
  familyHue,
  familyNames,
  neighbour,
  readScope,
  tutti,
  useScope,
} from "./scope";
import { useKeys } from "./useKeys";

/** The sections of the class in score order, bracketed by family as on a conductor's score. */
export function ScoreRail() {
  const classes = useQuery(classesQuery);
  const { scope, allClasses, choose } = useScope();
  const first = classes.data?.[0]?.id;
  useEffect(() => {
    if (first && !scope.classId && !allClasses) choose({ class: first });
  }, [first, scope.classId, allClasses, choose]);
  const rail = useQuery({ ...railQuery(scope.classId), enabled: Boolean(scope.classId) || allClasses });
  const sections = useMemo(() => rail.data?.sections ?? [], [rail.data]);
  const chooseSection = (section?: SectionView) =>
    section && choose({ ...tutti, instrument: section.instrument });
  useKeys({
    "[": () => chooseSection(neighbour(sections, readScope(addressNow()), -1)),
    "]": () => chooseSection(neighbour(sections, readScope(addressNow()), 1)),
    t: allClasses ? undefined : () => choose(tutti),
  });
  const current = classes.data?.find((c) => c.id === scope.classId);
  const isTutti = !scope.family && !scope.instrument;
  return (
    <nav aria-label="Sections" className="grid gap-x-6 pb-4 sm:grid-cols-2 lg:block">
      <div className="px-4 pt-3.5 pb-2 sm:col-span-2">
        <label className="sr-only" htmlFor="class-switch">
          Class
        </label>
        <select
          id="class-switch"
          className="display -ml-1 w-full cursor-pointer rounded-md bg-transparent py-0.5 pr-1 text-[1.13rem]"
          value={allClasses ? ALL_CLASSES : (scope.classId ?? "")}
          onChange={(event) => choose({ ...tutti, class: event.target.value })}
        >
          {classes.data?.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name}
            </option>
          ))}
          <option value={ALL_CLASSES}>All classes</option>
        </select>
        <button
          type="button"
          aria-pressed={isTutti}
          disabled={allClasses}
          onClick={() => choose(tutti)}
          className={clsx(
            "small mt-0.5 w-full rounded-md text-left",
            isTutti && !allClasses ? "text-base-content" : "soft hover:underline",
          )}
        >
          {allClasses
            ? "An instrument in every class"
            : current
              ? describe(current)
              : classes.data?.length === 0
                ? "No class yet"
                : "…"}
        </button>
      </div>
      {groups(sections).map(([family, members]) => (
        <FamilyGroup key={family} family={family} sections={members} canChoose={!allClasses} />
      ))}
      <p className="small soft hidden px-4 pt-1 lg:block">
        <Kbd>[</Kbd> <Kbd>]</Kbd> section &nbsp; <Kbd>T</Kbd> tutti
      </p>
    </nav>
  );
}

const describe = (c: ClassView) => [c.campus, c.when, `${c.students} students`].filter(Boolean).join(" · ");

function groups(sections: readonly SectionView[]): [Family, SectionView[]][] {
  const byFamily = new Map<Family, SectionView[]>();
  for (const section of sections) {
    byFamily.set(section.family, [...(byFamily.get(section.family) ?? []), section]);
  }
  return [...byFamily];
}

function FamilyGroup({
  family,
  sections,
  canChoose,
}: {
  family: Family;
  sections: SectionView[];
  canChoose: boolean;
}) {
  const { scope, choose } = useScope();
  return (
    <div
      className="relative mb-2.5 ml-4 self-start"
      style={{ "--hue": familyHue[family] } as React.CSSProperties}
    >
      <button
        type="button"
        aria-label={`${familyNames[family]}, the whole family`}
        aria-pressed={scope.family === family}
        disabled={!canChoose}
        title={familyNames[family]}
        onClick={() => choose({ ...tutti, family })}
        className={clsx(
          "absolute top-0.5 bottom-0.5 left-0 w-5 rounded-l-sm border-y-2 border-l-[3.5px] border-[var(--hue)]",
          "[clip-path:inset(0_12px_0_0)] hover:[clip-path:none]",
          scope.family === family && "bg-[var(--hue)] [clip-path:inset(0_8px_0_0)]",
        )}
      />
      <ul className="pl-[18px]">
        {sections.map((section) => (
          <SectionItem key={section.instrument} section={section} />
        ))}
      </ul>
    </div>
  );
}

function SectionItem({ section }: { section: SectionView }) {
  const { scope, choose } = useScope();
  const on = scope.instrument === section.instrument;
  const share = section.asked ? Math.round((100 * section.passed) / section.asked) : 0;
  return (
    <li>
      <button
        type="button"
        aria-pressed={on && !scope.division}
        onClick={() => choose({ ...tutti, instrument: section.instrument })}
        className={clsx(
          "grid w-full grid-cols-[1fr_auto] gap-x-2 rounded-l-lg py-1 pr-3 pl-2 text-left",
          on ? "bg-neutral text-neutral-content" : "hover:bg-base-200",
        )}
      >
        <span>{section.name}</span>
        <span className={clsx("small", !on && "soft")}>{section.students}</span>
        {section.asked > 0 && (
          <span
            className={clsx(
              "col-span-2 mt-[3px] block h-[3px] rounded-sm",
              on ? "bg-white/25" : "bg-base-300",
            )}
            role="img"
            aria-label={`${section.passed} of ${section.asked} passed`}
          >
            <span
              className={clsx("block h-[3px] rounded-sm", on ? "bg-[var(--now)]" : "bg-[var(--hue)]")}
              style={{ width: `${share}%` }}
            />
          </span>
        )}
      </button>
      {on && section.divisions.length > 1 && (
        <div className="flex flex-wrap gap-1.5 py-1.5 pl-2">
          {section.divisions.map((division) => (
            <button
              key={division.name}
              type="button"
              aria-pressed={scope.division === division.name}
              onClick={() => choose({ division: scope.division === division.name ? "" : division.name })}
              className={clsx(
                "small hairline rounded-full border-[1.5px] px-2.5",
                scope.division === division.name && "bg-neutral text-neutral-content",
              )}
            >
              {division.name} {division.students}
            </button>
          ))}
        </div>
      )}
    </li>
  );
}
