import type { PlanItem, SeasonPlan } from "../../api/types";

/** The week one means to order: the one looked at, else the first that may still be changed and has something. */
export function weekToOrder(plan: SeasonPlan, week: string | undefined): string {
  const shown = week && plan.weeks.find((w) => w.monday === week && !w.closed);
  if (shown && week >= plan.firstFree) return week;
  const planned = plan.items
    .filter((item) => item.chosen && item.hold !== "ORDERED" && item.monday && item.monday >= plan.firstFree)
    .map((item) => item.monday!)
    .sort();
  return planned[0] ?? plan.firstFree;
}

/** What stands in a week of a class: to be ordered, ordered already, and what nobody orders. */
export function ofWeek(plan: SeasonPlan, classId: string, monday: string) {
  const here = plan.items.filter(
    (item) => item.monday === monday && item.reach.some((r) => r.classId === classId),
  );
  const passed = (item: PlanItem) => item.milestoneId !== undefined;
  return {
    open: here.filter((item) => passed(item) && item.chosen && item.hold !== "ORDERED"),
    ordered: here.filter((item) => item.hold === "ORDERED"),
    aside: here.filter((item) => !passed(item)),
  };
}
