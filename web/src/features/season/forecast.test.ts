import { describe, expect, it } from "vitest";
import type { SectionForecast } from "../../api/types";
import { heldBy, placeOf, range } from "./forecast";

describe("a forecast on a line of days", () => {
  it("stands between its ends", () => {
    expect(placeOf("2026-11-11", "2026-11-01", "2026-11-21")).toBe(50);
    expect(placeOf("2026-10-11", "2026-11-01", "2026-11-21")).toBe(0);
    expect(placeOf("2027-10-11", "2026-11-01", "2026-11-21")).toBe(100);
    expect(placeOf("2026-11-01", "2026-11-01", "2026-11-01")).toBe(0);
  });

  it("is open where it is perhaps not this year, and nothing where it is not", () => {
    expect(range({ low: "2026-11-11", high: "2026-11-16" }, "2026-11-01", "2026-11-21")).toEqual({
      left: 50,
      width: 25,
    });
    expect(range({ low: "2026-11-11" }, "2026-11-01", "2026-11-21")).toEqual({ left: 50, width: 50 });
    expect(range({}, "2026-11-01", "2026-11-21")).toBeUndefined();
  });

  it("counts how many earlier ones hold what is thought now", () => {
    const section = {
      middle: "2026-12-07",
      earlier: [
        { low: "2026-11-30", high: "2026-12-14" },
        { low: "2026-12-14", high: "2026-12-28" },
        { low: "2026-11-30" },
        { low: "2026-11-30", high: "2026-12-21" },
      ],
    } as unknown as SectionForecast;
    expect(heldBy(section)).toEqual({ held: 2, of: 3 });
    expect(heldBy({ ...section, earlier: section.earlier.slice(0, 1) })).toBeUndefined();
  });
});
