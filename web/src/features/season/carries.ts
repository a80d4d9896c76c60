import type { Carry, SectionView } from "../../api/types";
import type { ScopeOption } from "./orderForm";

/** What is typed for one part of an order's sections. */
export interface CarryRow {
  key: string;
  name: string;
  whom: Pick<Carry, "family" | "instrument" | "division">;
  lineId: string;
  place: string;
  pattern: string;
  drill: string;
}

const untyped = { lineId: "", place: "", pattern: "", drill: "" };

/** A row for each section and division that the chosen scopes reach and that can take it, in score order. */
export function carryRows(
  chosen: readonly ScopeOption[],
  sections: readonly SectionView[],
  appliesTo: readonly string[],
): CarryRow[] {
  const reaches = (section: SectionView, division?: string) =>
    chosen.some(
      ({ scope }) =>
        (!scope.instrument || scope.instrument === section.instrument) &&
        (!scope.family || scope.family === section.family) &&
        (!scope.division || scope.division === division),
    );
  return sections
    .filter((s) => appliesTo.length === 0 || appliesTo.includes(s.instrument))
    .flatMap((s): CarryRow[] => {
      if (s.divisions.length > 1) {
        return s.divisions
          .filter((d) => reaches(s, d.name))
          .map((d) => ({
            key: `${s.instrument} ${d.name}`,
            name: `${s.plural}, ${d.name}`,
            whom: { instrument: s.instrument, division: d.name },
            ...untyped,
          }));
      }
      return reaches(s)
        ? [{ key: s.instrument, name: s.plural, whom: { instrument: s.instrument }, ...untyped }]
        : [];
    });
}

/** What is sent: rows in which something was typed. */
export function carriesOf(rows: readonly CarryRow[]): Carry[] {
  return rows
    .filter((row) => row.lineId || row.place.trim() || row.pattern.trim() || row.drill.trim())
    .map((row) => ({
      ...row.whom,
      lineId: row.lineId || undefined,
      place: row.place.trim(),
      pattern: row.pattern.trim(),
      drill: row.drill.trim(),
    }));
}

/** The rows as typed so far, for the sections that are chosen now. */
export const withTyped = (rows: readonly CarryRow[], typed: ReadonlyMap<string, Partial<CarryRow>>) =>
  rows.map((row) => ({ ...row, ...typed.get(row.key) }));
