import { describe, expect, it } from "vitest";
import type { FolderTry } from "../../api/types";
import { tryWords } from "./tryWords";

const tried = (change: Partial<FolderTry>): FolderTry => ({
  id: "t",
  heardOn: "2026-10-02",
  recordedAt: "2026-10-02T13:05:00Z",
  outcome: "PASS",
  evidence: "LIVE_ALONE",
  className: "Beginning Winds",
  heardBy: "Odalys Quayle",
  reason: "",
  note: "",
  faults: [],
  corrected: false,
  ...change,
});

describe("a try in words", () => {
  it("says what came of it, how, where and who heard it", () => {
    expect(tryWords(tried({}))).toBe("passed, alone, Beginning Winds, heard by Odalys Quayle");
    expect(tryWords(tried({ points: 19 }))).toContain("passed, 19 points");
    expect(tryWords(tried({ evidence: "SUBSTITUTE" }))).toContain("substitute piece");
  });

  it("adds reason and note, and no evidence where nobody played", () => {
    const excused = tryWords(tried({ outcome: "EXCUSED", reason: "Arm in a sling", note: "until Friday" }));
    expect(excused).toBe("excused, Beginning Winds, heard by Odalys Quayle. Arm in a sling. until Friday");
    expect(tryWords(tried({ outcome: "ABSENT" }))).not.toContain("alone");
  });

  it("says when a device's clock was wrong", () => {
    expect(tryWords(tried({ deviceHeardAt: "1970-01-01T00:00:00Z" }))).toContain("1970");
  });
});
