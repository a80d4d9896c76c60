import type { PlanItem, PlanProposal, SeasonPlan } from "../../api/types";

/** The plan as it would be, with what moves drawn where it goes and where it stood. */
export function drawn(plan: SeasonPlan, proposal: PlanProposal) {
  const changed = new Map<string, Map<string, "here" | "gone">>();
  const ghosts: PlanItem[] = [];
  const to = new Map(proposal.changes.map((change) => [change.itemId, change]));
  const mark = (monday: string | undefined, itemId: string, how: "here" | "gone") => {
    if (!monday) return;
    if (!changed.has(monday)) changed.set(monday, new Map());
    changed.get(monday)!.set(itemId, how);
  };
  const items = plan.items.map((item) => {
    const change = to.get(item.id);
    if (!change) return item;
    mark(change.to, item.id, "here");
    if (change.from) {
      mark(change.from, item.id, "gone");
      ghosts.push({ ...item, monday: change.from, newNotes: [] });
    }
    return { ...item, monday: change.to, broken: undefined };
  });
  return { items: [...items, ...ghosts], changed };
}

/** Minutes after the proposal, by class and week, where they change. */
export const minutesAfter = (proposal: PlanProposal): ReadonlyMap<string, number> =>
  new Map(proposal.minutes.map((m) => [`${m.classId} ${m.monday}`, m.after]));

/** "3 moves, 2 come in, 1 left out". */
export function headline(proposal: PlanProposal): string {
  const moves = proposal.changes.filter((c) => c.from && c.to).length;
  const coming = proposal.changes.filter((c) => !c.from).length;
  const out = proposal.changes.filter((c) => !c.to).length;
  const parts = [
    moves > 0 && `${moves} ${moves === 1 ? "move" : "moves"}`,
    coming > 0 && `${coming} ${coming === 1 ? "thing comes" : "things come"} in`,
    out > 0 && `${out} left out`,
  ].filter(Boolean);
  return parts.length > 0 ? parts.join(", ") : "Nothing changes";
}

/** The week to look at first: where something changes, not before what may change. */
export const firstWeek = (plan: SeasonPlan, proposal: PlanProposal): string =>
  proposal.changes
    .flatMap((change) => [change.from, change.to])
    .filter((monday): monday is string => monday !== undefined && monday >= plan.firstFree)
    .sort()[0] ?? plan.firstFree;
