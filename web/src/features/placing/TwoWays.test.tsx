import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, server } from "../../test/render";
import { TwoWays } from "./TwoWays";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const instruments = [{ code: "trumpet", name: "Trumpet", family: "BRASS" }];

function fill() {
  fireEvent.change(screen.getByLabelText("On"), { target: { value: "trumpet" } });
  fireEvent.change(screen.getByLabelText("Compared"), { target: { value: "Syllable" } });
  fireEvent.change(screen.getByLabelText("One way"), { target: { value: "tu" } });
  fireEvent.change(screen.getByLabelText("The other"), { target: { value: "du" } });
}

describe("two ways against each other", () => {
  it("hides which is which from the listener until the better one is tapped", async () => {
    const sent = server({
      "GET /api/instruments": instruments,
      "POST /api/students/ana/placing/two-ways/order": { first: "du", second: "tu" },
      "POST /api/students/ana/placing/two-ways": { better: "du" },
    });
    draw(<TwoWays studentId="ana" compared={[]} />);
    await screen.findByRole("option", { name: "Trumpet" });
    fill();
    expect(screen.queryByRole("button", { name: "tu" })).toBeNull();
    expect(screen.getByRole("button", { name: "The first" })).toHaveProperty("disabled", true);
    fireEvent.click(screen.getByRole("button", { name: "For the student: show the order" }));
    await screen.findByText("du", { selector: "b" });
    expect(screen.queryByRole("button", { name: "The first" })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Hide it and play" }));
    fireEvent.click(screen.getByRole("button", { name: "The first" }));
    expect((await screen.findByText(/^Kept:/)).textContent).toBe("Kept: “du” was better.");
    const kept = sent.find((one) => one.path.endsWith("/two-ways"))?.body as Record<string, unknown>;
    expect(kept).toMatchObject({ about: "Syllable", one: "tu", other: "du", blind: true, better: "FIRST" });
    const order = sent.find((one) => one.path.endsWith("/order"))?.body as Record<string, unknown>;
    expect(order.id).toBe(kept.id);
  });

  it("names the ways where it is not blind, and shows what won so far", async () => {
    server({ "GET /api/instruments": instruments });
    draw(
      <TwoWays
        studentId="ana"
        compared={[
          {
            instrumentName: "Trumpet",
            about: "Syllable",
            ways: ["tu", "du"],
            wins: [2, 1],
            noDifference: 1,
            lastOn: "2026-10-07",
          },
        ]}
      />,
    );
    await screen.findByRole("option", { name: "Trumpet" });
    expect(screen.getByRole("button", { name: "The first" })).toHaveProperty("disabled", true);
    fill();
    fireEvent.click(screen.getByRole("checkbox"));
    expect(screen.getByRole("button", { name: "tu" })).toHaveProperty("disabled", false);
    expect(screen.getByText(/tu 2, du 1/).textContent).toContain("no difference 1");
  });
});
