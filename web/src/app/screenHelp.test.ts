import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { screenHelp } from "./screenHelp";

/** The addresses of the screens, as they are routed. */
const routes = [...readFileSync("src/app/App.tsx", "utf8").matchAll(/<Route\s+path="(\/[^"]+)"/g)].map(
  (found) => found[1]!.replace(/:\w+/g, "one"),
);

describe("the help of a screen", () => {
  it("is there for each, with words and one worked example", () => {
    expect(routes.length).toBeGreaterThan(20);
    for (const route of routes) {
      const help = screenHelp(route);
      expect(help.words.length, route).toBeGreaterThan(1);
      expect(help.example.length, route).toBeGreaterThan(60);
    }
  });

  it("is that of its own place", () => {
    expect(screenHelp("/season/first-weeks").title).toBe("First weeks");
    expect(screenHelp("/library/books/one/table").title).toBe("A book by its facts");
    expect(screenHelp("/hear/one").title).toBe("Hearing run");
    expect(screenHelp("/roster/seating").title).toBe("Seating");
    expect(screenHelp("/nowhere").title).toBe("Podium");
  });
});
