import type { MilestoneKind } from "../../api/types";

/** A milestone as it is called out: a line by its number. */
export const milestoneName = (m: { kind: MilestoneKind; shortName: string; title: string }) =>
  m.kind === "LINE" ? `Line ${m.shortName}, ${m.title}` : m.title;
