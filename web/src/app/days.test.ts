import { describe, expect, it } from "vitest";
import { addDays, daysApart, duration, longDay, shortDay, span } from "./days";

describe("days", () => {
  it("stay the same day in every time zone", () => {
    expect(shortDay("2026-10-02")).toBe("2 Oct");
    expect(longDay("2026-10-02")).toBe("Friday 2 October");
    expect(addDays("2026-10-31", 1)).toBe("2026-11-01");
    expect(daysApart("2026-10-25", "2026-11-01")).toBe(7);
  });

  it("are spanned in few words", () => {
    expect(span("2026-11-02", "2026-11-06")).toBe("2–6 November");
    expect(span("2026-09-28", "2026-10-02")).toBe("28 Sept – 2 Oct");
  });
});

describe("durations", () => {
  it.each([
    [45, "45 s"],
    [60, "1 min"],
    [250, "4 min 10 s"],
    [640, "11 min"],
  ])("%i seconds are %s", (seconds, words) => expect(duration(seconds)).toBe(words));
});
