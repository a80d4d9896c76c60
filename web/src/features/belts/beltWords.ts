import type { Belt, BeltRow, BeltSlot } from "../../api/types";

/** What is said of a player beside the marks. */
export type BeltWords =
  | { kind: "handOver"; belts: string[] }
  | { kind: "top" }
  | { kind: "noLadder" }
  | { kind: "oneHearing"; names: string; waiting: boolean; remedy?: string }
  | { kind: "missing"; filled: number; asked: number; names: string; remedy?: string };

const named = (slots: readonly BeltSlot[]) => slots.map((slot) => slot.name);

export function beltWords(row: BeltRow, belts: ReadonlyMap<string, Pick<Belt, "name">>): BeltWords {
  if (row.due.length > 0) {
    return { kind: "handOver", belts: row.due.map((due) => belts.get(due.beltId)?.name ?? "a belt") };
  }
  if (!row.towardBelt) return { kind: row.onLadder ? "top" : "noLadder" };
  const missing = row.slots.filter((slot) => slot.helps);
  const alone = missing.filter((slot) => row.alone.includes(slot.milestoneId));
  if (alone.length > 0) {
    return {
      kind: "oneHearing",
      names: named(alone).join(" or "),
      waiting: alone.some((slot) => slot.standing.state === "RECORDING_WAITING"),
      remedy: alone.every((slot) => slot.needsRemedy) ? alone[0]!.name : undefined,
    };
  }
  // Where any of several would do, it is said how many.
  const any = row.needed < missing.length;
  return {
    kind: "missing",
    filled: row.filled,
    asked: row.asked,
    names: any ? `${row.needed} of ${named(missing).join(", ")}` : named(missing).join(", "),
    remedy: missing.find((slot) => slot.needsRemedy)?.name,
  };
}
