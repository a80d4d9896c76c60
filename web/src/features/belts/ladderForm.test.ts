import { describe, expect, it } from "vitest";
import { beltOf, copyOf, emptyLadder, filledWith, moved, newBelt } from "./ladderForm";

describe("editing a ladder", () => {
  it("gives every new belt a weave of its own until there are none left, and one knot more", () => {
    const belts = [newBelt([])];
    for (let i = 1; i < 8; i++) belts.push(newBelt(belts));
    expect(new Set(belts.map((belt) => belt.weave)).size).toBe(8);
    expect(belts.map((belt) => belt.knots)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    expect(newBelt([...belts, ...belts]).knots).toBe(9);
  });

  it("copies belts as new ones", () => {
    const ladder = { ...emptyLadder(), name: "winds" };
    ladder.belts[0]!.id = "old";
    const copy = copyOf(ladder);
    expect(copy.name).toBe("Copy of winds");
    expect(copy.belts[0]!.id).toBeUndefined();
    expect(ladder.belts[0]!.id).toBe("old");
  });

  it("moves by one and stays at the ends", () => {
    expect(moved(["a", "b", "c"], 1, -1)).toEqual(["b", "a", "c"]);
    expect(moved(["a", "b", "c"], 0, -1)).toEqual(["a", "b", "c"]);
    expect(moved(["a", "b", "c"], 2, 1)).toEqual(["a", "b", "c"]);
  });

  it("names a slot after what fills it, and keeps a name that was given", () => {
    const titles = new Map([["m", "Holding the bow"]]);
    const slot = { name: "", must: false, fillings: [{ whom: "any" }] };
    expect(filledWith(slot, 0, { whom: "any", milestoneId: "m" }, titles).name).toBe("Holding the bow");
    expect(filledWith({ ...slot, name: "bow" }, 0, { whom: "any", milestoneId: "m" }, titles).name).toBe(
      "bow",
    );
  });

  it("finds the belt a fault is of", () => {
    expect(beltOf("belts[12].slots[1].fillings")).toBe(12);
    expect(beltOf("name")).toBeUndefined();
  });
});
