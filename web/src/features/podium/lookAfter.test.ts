import { expect, it } from "vitest";
import { lookAfterRows } from "./lookAfter";

const nothing = { pain: [], repairs: [], reviews: [], lookAfter: [], moreReviews: 0, moreToLookAfter: 0 };
const student = { studentId: "ana", name: "Ana Reed", instrumentName: "Flute" };

it("puts what hurts first, each with what to do next, and counts what can wait", () => {
  const { rows, more } = lookAfterRows(
    {
      ...nothing,
      pain: [{ ...student, place: "Left wrist", reportedOn: "2026-10-05" }],
      repairs: [{ ...student, milestoneId: "m", title: "Sit tall", remedy: "Move the seat" }],
      lookAfter: [{ ...student, milestone: "Two gulls", tries: 4 }],
      reviews: [{ ...student, what: "Forward strap", reviewOn: "2026-10-01", overdue: true }],
      moreReviews: 2,
    },
    3,
  );
  expect(rows.map((row) => [row.what, row.next])).toEqual([
    ["Left wrist hurts, flute, reported", "ask again, rest, tell the family"],
    ["lost “Sit tall”", "helped before: move the seat"],
    ["4 tries on “Two gulls”", "another remedy"],
  ]);
  expect(rows[1]!.hear).toBe("m");
  expect(more).toBe(3);
  expect(lookAfterRows(nothing).rows).toEqual([]);
});
