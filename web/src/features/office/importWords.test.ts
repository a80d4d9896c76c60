import { describe, expect, it } from "vitest";
import type { Preview } from "../../api/types";
import { takeWords } from "./importWords";

const preview = (counts: Partial<Preview>): Preview => ({
  fingerprint: "f",
  separator: "comma",
  notices: [],
  ignoredHeadings: [],
  students: 0,
  seats: 0,
  moves: 0,
  unchanged: 0,
  refused: 0,
  rows: [],
  ...counts,
});

describe("what a roster file will do", () => {
  it("is told in a sentence before and after", () => {
    const counts = preview({ students: 1, seats: 2, refused: 3 });
    expect(takeWords(counts, false)).toBe("taking it brings 1 new student, 2 seats, 3 rows not taken.");
    expect(takeWords(counts, true)).toBe("1 new student, 2 seats, 3 rows not taken.");
  });

  it("says so when there is nothing to change", () => {
    expect(takeWords(preview({ unchanged: 8 }), false)).toBe(
      "Nothing to change: 8 rows on the roster already.",
    );
    expect(takeWords(preview({ unchanged: 1, refused: 1 }), false)).toBe(
      "Nothing to change: 1 row on the roster already, 1 row cannot be taken.",
    );
  });
});
