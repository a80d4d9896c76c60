import { useCallback, useMemo } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { shortDay } from "./days";
import type { Family, ScopeRequest, SectionView } from "../api/types";

/** Whom the screen is about: a class or all classes, and within it everybody, a family, an instrument or a division. */
export interface Scope {
  classId?: string;
  family?: Family;
  instrument?: string;
  division?: string;
}

export const ALL_CLASSES = "all";

export function readScope(search: URLSearchParams): Scope {
  const classId = search.get("class") ?? undefined;
  return {
    classId: classId === ALL_CLASSES ? undefined : classId,
    family: (search.get("family") as Family | null) ?? undefined,
    instrument: search.get("instrument") ?? undefined,
    division: search.get("division") ?? undefined,
  };
}

/** The search of a link that keeps class, section and week and changes some of them. */
export function scopeSearch(search: URLSearchParams, change: Partial<Record<ScopeParam, string>>): string {
  const next = new URLSearchParams();
  for (const name of ["class", "family", "instrument", "division", "week"] as const) {
    const value = name in change ? change[name] : search.get(name);
    if (value) next.set(name, value);
  }
  return next.toString();
}

type ScopeParam = "class" | "family" | "instrument" | "division" | "week";

/** The address as it is this moment, also between two quick keys, when the screen has not caught up yet. */
export const addressNow = () => new URLSearchParams(window.location.search);

export function useScope() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const scope = useMemo(() => readScope(search), [search]);
  const week = search.get("week") ?? undefined;
  const choose = useCallback(
    (change: Partial<Record<ScopeParam, string>>) =>
      void navigate({ pathname: window.location.pathname, search: scopeSearch(addressNow(), change) }),
    [navigate],
  );
  const allClasses = search.get("class") === ALL_CLASSES;
  return { scope, allClasses, week, choose, search };
}

export const tutti = { family: "", instrument: "", division: "" };

/** The section before or after the one chosen, in score order; from tutti the first or last. */
export function neighbour(
  sections: readonly SectionView[],
  scope: Scope,
  step: 1 | -1,
): SectionView | undefined {
  if (sections.length === 0) return undefined;
  const at = sections.findIndex((section) => section.instrument === scope.instrument);
  if (at < 0) return step > 0 ? sections[0] : sections[sections.length - 1];
  return sections[(at + step + sections.length) % sections.length];
}

export const familyNames: Record<Family, string> = {
  WOODWIND: "Woodwinds",
  BRASS: "Brass",
  PERCUSSION: "Percussion",
  STRING: "Strings",
};

export const familyHue: Record<Family, string> = {
  WOODWIND: "var(--woodwind)",
  BRASS: "var(--brass)",
  PERCUSSION: "var(--percussion)",
  STRING: "var(--string)",
};

/** Says who is meant: "trumpets", "brass", "Beginning Winds". */
export function scopeName(
  scope: ScopeRequest,
  sections: readonly { instrument: string; plural: string }[],
  className: string,
): string {
  const plural =
    sections.find((section) => section.instrument === scope.instrument)?.plural ?? scope.instrument;
  if (scope.joinedSince) {
    return `${plural ? `${plural} who came to` : "who joined"} ${className} since ${shortDay(scope.joinedSince)}`;
  }
  if (scope.family) return familyNames[scope.family];
  if (plural) {
    return scope.division ? `${plural}, ${scope.division}` : plural;
  }
  return className;
}
