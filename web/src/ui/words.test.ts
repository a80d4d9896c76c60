import { expect, test } from "vitest";
import { agreeing, counted } from "./words";

test("one is one, everything else is many", () => {
  expect([0, 1, 2].map((n) => counted(n, "seat"))).toEqual(["0 seats", "1 seat", "2 seats"]);
  expect(counted(1, "try", "tries")).toBe("1 try");
  expect(counted(3, "try", "tries")).toBe("3 tries");
  expect(agreeing(1, "waits", "wait")).toBe("waits");
  expect(agreeing(0, "waits", "wait")).toBe("wait");
});
