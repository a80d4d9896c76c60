import { describe, expect, it } from "vitest";
import type { StarterCheck } from "../../api/types";
import { startersFor, topicNames } from "./starterShelf";

const starter = (key: string, topic: StarterCheck["check"]["topic"], ...appliesTo: string[]) =>
  ({ key, shortName: key, check: { topic, appliesTo } }) as unknown as StarterCheck;

const shelf = [
  starter("trumpet-sound", "FIRST_SOUND", "trumpet"),
  starter("sit-tall", "BODY"),
  starter("flute-balance", "HOLD", "flute"),
  starter("trumpet-handling", "HANDLING", "trumpet"),
];

describe("the starter shelf", () => {
  it("shows what an instrument can take, in the order it is taught", () => {
    expect(startersFor(shelf, "trumpet").map((s) => s.key)).toEqual([
      "trumpet-handling",
      "sit-tall",
      "trumpet-sound",
    ]);
    expect(startersFor(shelf, undefined)).toHaveLength(4);
    expect(startersFor(shelf, "cello").map((s) => s.key)).toEqual(["sit-tall"]);
  });

  it("has a heading for every topic and none twice", () => {
    const names = Object.values(topicNames);
    expect(new Set(names).size).toBe(names.length);
  });
});
