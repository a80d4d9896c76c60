import type { PodiumClass } from "../../api/types";

export interface LookAfterRow {
  key: string;
  studentId: string;
  name: string;
  what: string;
  since?: string;
  /** What to do next. */
  next: string;
  /** The milestone that is heard again, where that is what to do. */
  hear?: string;
}

/** What fits beneath the decisions; the order is the server's within each kind, what hurts first. */
const MOST = 3;

export function lookAfterRows(
  c: Pick<PodiumClass, "pain" | "repairs" | "reviews" | "lookAfter" | "moreReviews" | "moreToLookAfter">,
  most = MOST,
): { rows: LookAfterRow[]; more: number } {
  const all: LookAfterRow[] = [
    ...c.pain.map((p) => ({
      key: `pain ${p.studentId} ${p.place} ${p.reportedOn}`,
      studentId: p.studentId,
      name: p.name,
      what: `${p.place} hurts, ${p.instrumentName.toLowerCase()}, reported`,
      since: p.reportedOn,
      next: "ask again, rest, tell the family",
    })),
    ...c.repairs.map((r) => ({
      key: `repair ${r.studentId} ${r.milestoneId}`,
      studentId: r.studentId,
      name: r.name,
      what: `lost “${r.title}”`,
      next: r.remedy ? `helped before: ${r.remedy.toLowerCase()}` : "hear it again",
      hear: r.milestoneId,
    })),
    ...c.lookAfter.map((l) => ({
      key: `tries ${l.studentId} ${l.milestone}`,
      studentId: l.studentId,
      name: l.name,
      what: `${l.tries} tries on “${l.milestone}”`,
      next: "another remedy",
    })),
    ...c.reviews.map((r) => ({
      key: `review ${r.studentId} ${r.what}`,
      studentId: r.studentId,
      name: r.name,
      what: `${r.what}, ${r.overdue ? "overdue since" : "due"}`,
      since: r.reviewOn,
      next: "try without, or keep",
    })),
  ];
  return {
    rows: all.slice(0, most),
    more: Math.max(0, all.length - most) + c.moreReviews + c.moreToLookAfter,
  };
}
