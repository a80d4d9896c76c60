import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import type { Standing } from "../api/types";
import { provisional } from "./markWords";
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

describe("the mark shown until the server answers", () => {
  const before: Standing = { state: "TRIED", tries: 2, carriedOver: true, goodTries: 0 };

  it("follows the outcome", () => {
    expect(provisional("PASS", before)).toMatchObject({ state: "PASSED", tries: 3, carriedOver: false });
    expect(provisional("NOT_YET", before)).toMatchObject({ state: "TRIED", tries: 3, carriedOver: true });
    expect(provisional("EXCUSED", before).state).toBe("EXCUSED");
    expect(provisional("ABSENT", before)).toBe(before);
  });
});
