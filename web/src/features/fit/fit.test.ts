import { describe, expect, it } from "vitest";
import { fitFor, fitKinds, fits, isMeasured, measuresTyped } from "./fit";

describe("measuring for a fit", () => {
  it("begins with what the instrument needs", () => {
    expect(fitFor("cello")).toBe("CELLO_ENDPIN");
    expect(fitFor("bassoon")).toBe("BASSOON_STRAP");
    expect(fitFor("trumpet")).toBe("TRUMPET_RING");
    expect(fitFor(undefined)).toBe("CHAIR");
  });

  it("reads numbers with a point or a comma, and nothing else", () => {
    expect(measuresTyped("CHAIR", { kneeCm: " 38,5 " })).toEqual({ kneeCm: 38.5 });
    expect(measuresTyped("CHAIR", { kneeCm: "38.5", armCm: "60" })).toEqual({ kneeCm: 38.5 });
    expect(measuresTyped("CHAIR", { kneeCm: "a lot" })).toEqual({});
    expect(measuresTyped("CHAIR", { kneeCm: "" })).toEqual({});
  });

  it("waits until everything is measured", () => {
    const some = measuresTyped("CELLO_ENDPIN", { handCm: "7", seatCm: "40" });
    expect(isMeasured("CELLO_ENDPIN", some)).toBe(false);
    expect(isMeasured("CELLO_ENDPIN", { ...some, kneeCm: 40 })).toBe(true);
  });

  it("takes a bass player to stand unless it is said otherwise", () => {
    expect(measuresTyped("BASS_ENDPIN", { handCm: "8" }).standing).toBe(true);
    expect(measuresTyped("BASS_ENDPIN", { handCm: "8", standing: false }).standing).toBe(false);
  });

  it("has a name and at least one measure for each", () => {
    for (const kind of fitKinds) {
      expect(fits[kind].name).not.toBe("");
      expect(fits[kind].fields.length).toBeGreaterThan(0);
    }
  });
});
