import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { Suspense } from "react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { page } from "./page";
import { Place } from "./Place";

let broken = true;
const Screen = () => {
  if (broken) throw new Error("drawn wrong");
  return <p>A screen</p>;
};

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  broken = true;
});

describe("a place that cannot be drawn", () => {
  it("says so and tries again, and another place begins anew", () => {
    vi.spyOn(console, "error").mockImplementation(() => undefined);
    const { rerender } = render(
      <Place at="/a">
        <Screen />
      </Place>,
    );
    expect(screen.getByRole("alert").textContent).toContain("Nothing was lost");
    fireEvent.click(screen.getByRole("button", { name: "Try again" }));
    expect(screen.getByRole("alert")).toBeTruthy();
    broken = false;
    fireEvent.click(screen.getByRole("button", { name: "Try again" }));
    expect(screen.getByText("A screen")).toBeTruthy();
    broken = true;
    rerender(
      <Place at="/a">
        <Screen />
      </Place>,
    );
    expect(screen.getByRole("alert")).toBeTruthy();
    broken = false;
    rerender(
      <Place at="/b">
        <Screen />
      </Place>,
    );
    expect(screen.getByText("A screen")).toBeTruthy();
  });
});

describe("a screen whose files are gone after an upgrade", () => {
  const memory = (kept: Record<string, string> = {}) => ({
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, value: string) => void (kept[key] = value),
    removeItem: (key: string) => void delete kept[key],
  });

  it("loads the page anew once, then says that it cannot be drawn", async () => {
    vi.spyOn(console, "error").mockImplementation(() => undefined);
    const kept = memory();
    const reload = vi.fn();
    const gone = (): Promise<() => null> => Promise.reject(new Error("no such file"));
    const First = page(gone, reload, kept);
    const view = render(
      <Place at="/a">
        <Suspense fallback="coming">
          <First />
        </Suspense>
      </Place>,
    );
    await vi.waitFor(() => expect(reload).toHaveBeenCalledTimes(1));
    view.unmount();
    const Second = page(gone, reload, kept);
    render(
      <Place at="/a">
        <Suspense fallback="coming">
          <Second />
        </Suspense>
      </Place>,
    );
    expect((await screen.findByRole("alert")).textContent).toContain("could not be drawn");
    expect(reload).toHaveBeenCalledTimes(1);
  });

  it("forgets that once a screen came", async () => {
    const kept = memory({ "vivid-loaded-anew": "yes" });
    const Good = page(async () => () => <p>here</p>, vi.fn(), kept);
    render(
      <Suspense fallback="coming">
        <Good />
      </Suspense>,
    );
    expect(await screen.findByText("here")).toBeTruthy();
    expect(kept.getItem("vivid-loaded-anew")).toBeNull();
  });
});
