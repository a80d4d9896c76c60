import { describe, expect, it } from "vitest";
import { at } from "./at";

describe("an address of the API", () => {
  it("fills names in and leaves out what is not given", () => {
    expect(at("/api/year")).toBe("/api/year");
    expect(at("/api/students/{studentId}/folder", { studentId: "a b" })).toBe("/api/students/a%20b/folder");
    expect(at("/api/board", {}, { classId: "c1", instrument: undefined, division: "" })).toBe(
      "/api/board?classId=c1",
    );
    expect(
      at("/api/students/{studentId}/folder/done", { studentId: "s" }, { instrument: "flute", from: 30 }),
    ).toBe("/api/students/s/folder/done?instrument=flute&from=30");
  });

  it("does not compile for what the document does not know", () => {
    // @ts-expect-error -- there is no such path
    at("/api/nothing");
    // @ts-expect-error -- a name is missing
    at("/api/students/{studentId}/folder", {});
    // @ts-expect-error -- no such question is asked there
    expect(at("/api/podium", {}, { day: "2026-10-07" })).toContain("day");
  });
});
