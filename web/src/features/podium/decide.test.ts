import { expect, it } from "vitest";
import { decideReasons, decideTitle } from "./decide";

const asked = (change: object) =>
  ({
    milestoneId: "m",
    name: "Line 9",
    advised: "STAY",
    heard: 8,
    passed: 4,
    unheard: 0,
    catchUp: [],
    ...change,
  }) as Parameters<typeof decideReasons>[0];

it("says why in counts, with names and the weakest thing", () => {
  expect(decideTitle(asked({}))).toBe("Line 9, everybody");
  expect(decideTitle(asked({ plural: "Horns" }))).toBe("Line 9, horns");
  expect(decideReasons(asked({ weakest: "Rhythm" }))).toBe("4 of 8 heard have it; weakest: rhythm");
  expect(
    decideReasons(
      asked({
        advised: "GO_ON_WITH_CATCH_UP",
        unheard: 2,
        catchUp: ["Ana Reed", "Bo Lund", "Cy Moor", "Di Vale", "Ed Stone"],
      }),
    ),
  ).toBe("4 of 8 heard have it; 2 unheard; catch up: Ana, Bo, Cy and 2 more");
  expect(decideReasons(asked({ passed: 1, heard: 1 }))).toBe("1 of 1 heard has it");
});
