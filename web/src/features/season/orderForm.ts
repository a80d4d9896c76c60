import type { LibraryView, Milestone, NewOrders, ScopeRequest, SectionView } from "../../api/types";
import { familyNames } from "../../app/scope";

/** A choice of whom to order for. */
export interface ScopeOption {
  key: string;
  name: string;
  scope: ScopeRequest;
  group: "tutti" | "family" | "section" | "across";
}

/** Tutti, families, sections and divisions of the class, then each of its instruments in every class. */
export function scopeOptions(
  classId: string | undefined,
  className: string,
  sections: readonly SectionView[],
  allInstruments: readonly { code: string; plural: string }[],
): ScopeOption[] {
  const across = (
    classId ? sections.map((s) => ({ code: s.instrument, plural: s.plural })) : allInstruments
  ).map((i): ScopeOption => ({
    key: `across ${i.code}`,
    name: `${i.plural}, every class`,
    scope: { instrument: i.code },
    group: "across",
  }));
  if (!classId) return across;
  const families = [...new Set(sections.map((s) => s.family))];
  return [
    { key: "tutti", name: `Tutti, ${className}`, scope: { classId }, group: "tutti" },
    ...families.map((family): ScopeOption => ({
      key: family,
      name: familyNames[family],
      scope: { classId, family },
      group: "family",
    })),
    ...sections.flatMap((s): ScopeOption[] => [
      { key: s.instrument, name: s.plural, scope: { classId, instrument: s.instrument }, group: "section" },
      ...(s.divisions.length > 1 ? s.divisions : []).map((d): ScopeOption => ({
        key: `${s.instrument} ${d.name}`,
        name: `${s.plural}, ${d.name}`,
        scope: { classId, instrument: s.instrument, division: d.name },
        group: "section",
      })),
    ]),
    ...across,
  ];
}

/** Ticking one choice: tutti stands alone, and choosing a part lets go of tutti. */
export function toggleScope(chosen: readonly string[], key: string): string[] {
  if (chosen.includes(key)) return chosen.filter((other) => other !== key);
  return key === "tutti" ? ["tutti"] : [...chosen.filter((other) => other !== "tutti"), key];
}

/** The milestones a search finds, by number, title, book or kind. */
export function findMilestones(library: LibraryView, sought: string): Milestone[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  return library.milestones.filter((m) => {
    const text = [
      m.kind === "LINE" ? `line ${m.shortName}` : m.shortName,
      m.title,
      m.line?.book,
      m.kind.replace("_", " "),
    ]
      .join(" ")
      .toLowerCase();
    const numbers = m.shortName.split(" ");
    return words.every((word) => (/^\d+$/.test(word) ? numbers.includes(word) : text.includes(word)));
  });
}

export function newOrders(
  milestoneIds: readonly string[],
  scopes: readonly ScopeRequest[],
  rest: Omit<NewOrders, "milestones" | "scopes">,
  newId: () => string,
): NewOrders {
  return {
    ...rest,
    milestones: milestoneIds.map((milestoneId) => ({ milestoneId, orderId: newId() })),
    scopes: [...scopes],
  };
}
