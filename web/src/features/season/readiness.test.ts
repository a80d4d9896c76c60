import { describe, expect, it } from "vitest";
import { missingWords } from "./readiness";

describe("who is not ready", () => {
  it("names them while they are few", () => {
    expect(missingWords({ missing: ["Ana"], asked: 6 })).toBe("Ana has not passed it");
    expect(missingWords({ missing: ["Ana", "Bo"], asked: 6 })).toBe("Ana, Bo have not passed it");
  });

  it("counts them when they are many", () => {
    const six = ["A", "B", "C", "D", "E", "F"];
    expect(missingWords({ missing: six, asked: 9 })).toBe("A, B, C, D and 2 more have not passed it");
    expect(missingWords({ missing: six, asked: 6 })).toBe("none of 6 has passed it");
  });
});
