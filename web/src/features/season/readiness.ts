import type { Readiness } from "../../api/types";
import { agreeing } from "../../ui/words";

const MOST_NAMES = 4;

/** Who has still to pass what comes before, by name while they are few. */
export function missingWords({ missing, asked }: Pick<Readiness, "missing" | "asked">): string {
  if (missing.length === asked && asked > MOST_NAMES) return `none of ${asked} has passed it`;
  const names = missing.slice(0, MOST_NAMES).join(", ");
  const more = missing.length - MOST_NAMES;
  const have = agreeing(missing.length, "has", "have");
  return more > 0 ? `${names} and ${more} more have not passed it` : `${names} ${have} not passed it`;
}
