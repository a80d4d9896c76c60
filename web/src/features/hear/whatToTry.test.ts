import { describe, expect, it } from "vitest";
import type { CheckView, WhatHelped } from "../../api/types";
import { helpedBefore, mostHelped, remediesOf } from "./whatToTry";

const check = {
  faults: [
    { sign: "Airy", remedies: ["Smaller opening", "Firm corners"] },
    { sign: "No sound", remedies: ["More air"] },
  ],
} as unknown as CheckView;

const helped: WhatHelped = {
  most: [
    { sign: "Airy", remedy: "Firm corners", students: 3 },
    { sign: "No sound", remedy: "More air", students: 2 },
    { sign: "Airy", remedy: "Smaller opening", students: 1 },
  ],
  helped: [
    { id: "2", studentId: "ana", sign: "Airy", remedy: "Firm corners", helpedOn: "2026-09-21" },
    { id: "1", studentId: "ana", sign: "Airy", remedy: "Firm corners", helpedOn: "2026-09-14" },
  ],
};

describe("from symptom to remedy", () => {
  it("keeps the order in which things are tried", () => {
    expect(remediesOf(check, "Airy")).toEqual(["Smaller opening", "Firm corners"]);
    expect(remediesOf(check, "Squawk")).toEqual([]);
  });

  it("finds the last time a remedy helped this student", () => {
    expect(helpedBefore(helped, "ana", "Airy", "Firm corners")?.id).toBe("2");
    expect(helpedBefore(helped, "bo", "Airy", "Firm corners")).toBeUndefined();
    expect(helpedBefore(undefined, "ana", "Airy", "Firm corners")).toBeUndefined();
  });

  it("calls a remedy of the section's what helped more than one of it", () => {
    expect(mostHelped(helped, 3).map((m) => m.remedy)).toEqual(["Firm corners", "More air"]);
    expect(mostHelped(helped, 1)).toHaveLength(1);
    expect(mostHelped(undefined, 3)).toEqual([]);
  });
});
