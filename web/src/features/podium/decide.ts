import type { PodiumClass } from "../../api/types";

type Asked = PodiumClass["decide"][number];
export type Decidable = "GO_ON" | "GO_ON_WITH_CATCH_UP" | "STAY";

export const verdictWords: Record<Asked["advised"], string> = {
  GO_ON: "go on",
  HEAR_THE_REST: "hear the rest first",
  GO_ON_WITH_CATCH_UP: "go on, catch up some",
  STAY: "stay",
  NOBODY_HEARD: "nobody heard yet",
};

export const decideTitle = (one: Asked) => `${one.name}, ${one.plural?.toLowerCase() ?? "everybody"}`;

/** In counts, not in percent: who has it, who is to be heard, who catches up, what is weakest. */
export function decideReasons(one: Asked): string {
  const first = one.catchUp.map((name) => name.split(" ")[0]);
  const names =
    first.length > 3 ? `${first.slice(0, 3).join(", ")} and ${first.length - 3} more` : first.join(" and ");
  return [
    `${one.passed} of ${one.heard} heard ${one.passed === 1 ? "has" : "have"} it`,
    one.unheard > 0 && `${one.unheard} unheard`,
    one.advised === "GO_ON_WITH_CATCH_UP" && names && `catch up: ${names}`,
    one.weakest && `weakest: ${one.weakest.toLowerCase()}`,
  ]
    .filter(Boolean)
    .join("; ");
}
