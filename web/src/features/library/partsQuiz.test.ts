import { expect, it } from "vitest";
import { places } from "./partsPlaces";
import { shuffled } from "./partsQuiz";

it("asks everything once, in another order", () => {
  expect(shuffled([1, 2, 3, 4], () => 0)).toEqual([2, 3, 4, 1]);
  expect(shuffled([1, 2, 3, 4]).toSorted()).toEqual([1, 2, 3, 4]);
});

it("has a place for every number of every drawing, inside it and apart from the others", () => {
  expect(Object.keys(places)).toHaveLength(9);
  for (const [kind, all] of Object.entries(places)) {
    expect(all.length, kind).toBeGreaterThanOrEqual(9);
    all.forEach(([x, y, toX, toY], i) => {
      for (const value of [x, toX]) expect(value, `${kind} ${i + 1}`).toBeLessThan(520);
      for (const value of [y, toY]) expect(value, `${kind} ${i + 1}`).toBeLessThan(210);
      all.slice(i + 1).forEach(([otherX, otherY], n) => {
        expect(Math.hypot(x - otherX, y - otherY), `${kind} ${i + 1} and ${i + n + 2}`).toBeGreaterThan(20);
      });
    });
  }
});
