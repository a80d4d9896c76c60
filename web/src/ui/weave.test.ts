import { describe, expect, it } from "vitest";
import { readableOn, weavePath } from "./weave";

describe("a belt's weave", () => {
  it("is another for each pattern, so that belts read without colour", () => {
    const weaves = ["diagonal", "scallop", "wave", "diamond", "check", "chevron", "cross"];
    expect(new Set(weaves.map((weave) => weavePath(weave, 0, 60))).size).toBe(weaves.length);
  });

  it("stays inside its strip, and falls back for a weave nobody knows", () => {
    expect(weavePath("cross", 0, 10)).toBe("");
    expect(weavePath("cross", 0, 22).match(/M/g)).toHaveLength(4);
    expect(weavePath("unheard of", 0, 30)).toBe(weavePath("diagonal", 0, 30));
  });

  it("is drawn in ink on light colours and in paper on dark ones", () => {
    expect(readableOn("#E5A11B")).toBe("#20242C");
    expect(readableOn("#2A2757")).toBe("#FFFFFF");
  });
});
