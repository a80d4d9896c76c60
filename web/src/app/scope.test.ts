import { describe, expect, it } from "vitest";
import type { SectionView } from "../api/types";
import { neighbour, readScope, scopeName, scopeSearch } from "./scope";

const section = (instrument: string, plural: string) => ({ instrument, plural }) as SectionView;
const sections = [section("flute", "Flutes"), section("trumpet", "Trumpets")];

describe("the scope in the address", () => {
  it("is read and written", () => {
    const search = new URLSearchParams("class=c1&instrument=trumpet&week=2026-10-05&page=3");
    expect(readScope(search)).toEqual({
      classId: "c1",
      family: undefined,
      instrument: "trumpet",
      division: undefined,
    });
    expect(scopeSearch(search, { instrument: "" })).toBe("class=c1&week=2026-10-05");
    expect(readScope(new URLSearchParams("class=all&instrument=flute")).classId).toBeUndefined();
  });

  it("is said in words", () => {
    expect(scopeName({ classId: "c1" }, sections, "Beginning Winds")).toBe("Beginning Winds");
    expect(scopeName({ classId: "c1", family: "BRASS" }, sections, "Beginning Winds")).toBe("Brass");
    expect(scopeName({ instrument: "trumpet", division: "Second" }, sections, "")).toBe("Trumpets, Second");
    expect(scopeName({ instrument: "kazoo" }, sections, "")).toBe("kazoo");
    const since = { classId: "c1", joinedSince: "2027-01-25" };
    expect(scopeName(since, sections, "Winds")).toMatch(/^who joined Winds since .*25/);
    expect(scopeName({ ...since, instrument: "trumpet" }, sections, "Winds")).toMatch(
      /^Trumpets who came to Winds since .*25/,
    );
  });
});

describe("moving between sections", () => {
  it("goes down the score and around, and enters from tutti at either end", () => {
    expect(neighbour(sections, {}, 1)?.instrument).toBe("flute");
    expect(neighbour(sections, {}, -1)?.instrument).toBe("trumpet");
    expect(neighbour(sections, { instrument: "trumpet" }, 1)?.instrument).toBe("flute");
    expect(neighbour([], {}, 1)).toBeUndefined();
  });
});
