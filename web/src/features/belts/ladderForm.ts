import type { BeltForm, FillingForm, LadderForm, LibraryView, SlotForm } from "../../api/types";

export const FAMILIES = [
  ["any", "everybody"],
  ["family-woodwind", "woodwinds"],
  ["family-brass", "brass"],
  ["family-percussion", "percussion"],
  ["family-string", "strings"],
] as const;

/** Looks a new belt can have, so that no two of a ladder are alike without colour. */
const freshLooks = [
  ["#B79B78", "diagonal"],
  ["#E3AE98", "scallop"],
  ["#5F7F3B", "wave"],
  ["#E5A11B", "diamond"],
  ["#2F7F93", "check"],
  ["#C2417C", "chevron"],
  ["#2B2A55", "cross"],
  ["#7B4B2A", "herringbone"],
] as const;

export const MOST_KNOTS = 9;

export const emptySlot = (): SlotForm => ({ name: "", must: false, fillings: [{ whom: "any" }] });

/** The next belt of a ladder, with a look none of the others has. */
export function newBelt(belts: readonly BeltForm[]): BeltForm {
  const taken = new Set(belts.map((belt) => belt.weave));
  const [color, weave] =
    freshLooks.find(([, pattern]) => !taken.has(pattern)) ?? freshLooks[belts.length % freshLooks.length]!;
  return {
    name: "",
    color,
    weave,
    knots: Math.min(belts.length + 1, MOST_KNOTS),
    rule: "EVERY_SLOT",
    ruleSlots: 0,
    slots: [emptySlot(), emptySlot(), emptySlot()],
  };
}

export const emptyLadder = (): LadderForm => ({ name: "", instruments: [], belts: [newBelt([])] });

/** A ladder of its own with the same belts. */
export const copyOf = (ladder: LadderForm): LadderForm => ({
  ...ladder,
  name: `Copy of ${ladder.name}`.slice(0, 40),
  belts: ladder.belts.map((belt) => ({ ...belt, id: undefined })),
});

export const without = <T>(all: readonly T[], at: number): T[] => all.filter((_, i) => i !== at);

export const replaced = <T>(all: readonly T[], at: number, one: T): T[] =>
  all.map((old, i) => (i === at ? one : old));

/** One place up or down; at an end it stays. */
export function moved<T>(all: readonly T[], at: number, by: 1 | -1): T[] {
  const to = at + by;
  if (to < 0 || to >= all.length) return [...all];
  const next = [...all];
  [next[at], next[to]] = [next[to]!, next[at]!];
  return next;
}

/** A slot that is not named yet takes the name of what fills it. */
export function filledWith(
  slot: SlotForm,
  at: number,
  filling: FillingForm,
  titles: ReadonlyMap<string, string>,
): SlotForm {
  const name =
    slot.name === "" && filling.milestoneId
      ? (titles.get(filling.milestoneId) ?? "").slice(0, 60)
      : slot.name;
  return { ...slot, name, fillings: replaced(slot.fillings, at, filling) };
}

/** Where a fault stands: "belts[2].slots[1].fillings" is of the third belt. */
export function beltOf(field: string): number | undefined {
  const found = /^belts\[(\d+)\]/.exec(field);
  return found ? Number(found[1]) : undefined;
}

/** What can fill a slot, by kind, as it is called in a list. */
export function fillings(library: LibraryView) {
  const of = (kind: string) => library.milestones.filter((one) => one.kind === kind);
  return [
    ["Lines", of("LINE").map((one) => [one.id, `line ${one.shortName}, ${one.title}`])],
    ["Technique checks", of("TECHNIQUE_CHECK").map((one) => [one.id, one.title])],
    ["Playing tests", of("PLAYING_TEST").map((one) => [one.id, one.title])],
    ["Written checks", of("WRITTEN_CHECK").map((one) => [one.id, one.title])],
  ] as const;
}
