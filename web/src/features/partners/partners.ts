import type { NewPartnerCheck, Pairing, Partner, PartnerCheck } from "../../api/types";

export const pairingNames: Record<Pairing, string> = {
  FAIR: "Fair over the weeks",
  STAND: "As they sit",
  LISTS: "Inside and outside list",
};

export const pairingWords: Record<Pairing, string> = {
  FAIR: "Nobody meets a partner twice before all others had a turn.",
  STAND: "Neighbours at one stand.",
  LISTS: "Inside players stay, the outside list moves on one place each time.",
};

/** Two students change places; their groups keep their order. */
export function swapped(groups: readonly (readonly Partner[])[], a: string, b: string): Partner[][] {
  const all = groups.flat();
  const one = all.find((p) => p.studentId === a);
  const other = all.find((p) => p.studentId === b);
  if (!one || !other) return groups.map((group) => [...group]);
  return groups.map((group) => group.map((p) => (p.studentId === a ? other : p.studentId === b ? one : p)));
}

export interface MeasuresTyped {
  first: string;
  last: string;
}

/** The measures of each part, where both ends were typed. */
export function measuresOf(typed: ReadonlyMap<string, MeasuresTyped>): NewPartnerCheck["measures"] {
  return [...typed]
    .filter(([, { first, last }]) => first.trim() && last.trim())
    .map(([key, { first, last }]) => {
      const [instrument = "", division = ""] = key.split("/");
      return { instrument, division, first: Number(first) || 0, last: Number(last) || 0 };
    });
}

/** What a partner found, in the words kept with the try. */
export function findingNote(watchers: readonly Partner[], notSeen: readonly string[]): string {
  const who = `Watched by ${watchers.map((w) => w.name).join(" and ")}`;
  return notSeen.length === 0 ? who : `${who}; not seen: ${notSeen.join(", ")}`;
}

/** Who has played and was watched so far. */
export function notedCount(check: PartnerCheck, noted: ReadonlySet<string>): { done: number; of: number } {
  const turns = check.groups.flatMap((group) => group.turns);
  return {
    done: turns.filter((turn) => turn.found !== undefined || noted.has(turn.plays.studentId)).length,
    of: turns.length,
  };
}

export const partOf = (partner: Partner) =>
  partner.division ? `${partner.instrumentName}, ${partner.division}` : partner.instrumentName;
