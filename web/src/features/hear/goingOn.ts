import type { Choice } from "../../api/types";
import type { SeenDesk } from "../../app/live";
import { milestoneName } from "./milestoneName";

/** Runs of others with what can be heard here, in the order of the choices, with who hears. */
export function goingOn(desks: readonly SeenDesk[], choices: readonly Choice[]) {
  return choices.flatMap((choice) => {
    const hearers = desks
      .filter((desk) => desk.milestoneId === choice.milestoneId)
      .map((desk) => desk.hearerName);
    return hearers.length === 0
      ? []
      : [
          {
            milestoneId: choice.milestoneId,
            name: milestoneName(choice),
            hearers: hearers.toSorted().join(" and "),
          },
        ];
  });
}
