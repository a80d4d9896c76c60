import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import type { MarkState } from "./markWords";
import { ProgressMark } from "./ProgressMark";

afterEach(cleanup);

describe("the progress mark", () => {
  it.each<[MarkState, number, boolean, string]>([
    ["SET", 0, false, "set, not heard"],
    ["TRIED", 1, false, "not yet, 1 try"],
    ["TRIED", 3, true, "not yet, 3 tries, carried over"],
    ["PASSED", 2, false, "passed"],
    ["PASSED_BY_SUBSTITUTE", 1, false, "passed by substitute"],
    ["EXCUSED", 0, false, "excused"],
    ["RECORDING_WAITING", 0, false, "recording waiting"],
  ])("%s after %i tries says what it is to a screen reader", (state, tries, carriedOver, words) => {
    render(<ProgressMark state={state} tries={tries} carriedOver={carriedOver} />);
    expect(screen.getByRole("img", { name: words })).toBeDefined();
  });

  it("draws no two states alike", () => {
    const states: MarkState[] = [
      "NOT_SET",
      "SET",
      "TRIED",
      "PASSED",
      "PASSED_BY_SUBSTITUTE",
      "EXCUSED",
      "RECORDING_WAITING",
    ];
    const drawings = states.map(
      (state) => render(<ProgressMark decorative state={state} tries={1} />).container.innerHTML,
    );
    expect(new Set(drawings).size).toBe(states.length);
  });

  it("counts tries in strokes, five at most", () => {
    const strokes = (tries: number) =>
      render(<ProgressMark decorative state="TRIED" tries={tries} />).container.querySelectorAll("line")
        .length;
    expect(strokes(2)).toBe(2);
    expect(strokes(9)).toBe(5);
  });
});

it("is drawn broken while the result is on its way, and says so", () => {
  const { container, getByRole } = render(<ProgressMark state="TRIED" tries={1} onItsWay />);
  expect(container.querySelector("svg")?.getAttribute("stroke-dasharray")).toBeTruthy();
  expect(getByRole("img").getAttribute("aria-label")).toBe("heard, the result is on its way");
});
