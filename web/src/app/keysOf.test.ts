import { describe, expect, it } from "vitest";
import { keysOf } from "./keysOf";

const what = (path: string) => keysOf(path).map(([, words]) => words);

describe("the keys of a screen", () => {
  it("are those it listens to, and those that work everywhere", () => {
    expect(what("/hear/m1")).toContain("undo the last mark");
    expect(what("/hear/partners")).not.toContain("undo the last mark");
    expect(what("/library/lines/l1")).toContain("play, and stop");
    expect(what("/library/lines/l1/card")).not.toContain("play, and stop");
    expect(what("/podium/warm-up")).toContain("play, and stop");
    expect(what("/podium")).not.toContain("play, and stop");
    expect(what("/season")).toContain("order milestones");
    for (const path of ["/hear/m1", "/library/lines/l1", "/podium", "/season"]) {
      expect(what(path).at(-1)).toBe("this help");
    }
  });
});
