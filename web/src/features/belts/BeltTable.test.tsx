import { cleanup, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import type { Belt, BeltRow } from "../../api/types";
import { draw } from "../../test/render";
import { BeltTable } from "./BeltTable";

afterEach(cleanup);

const belt = (id: string, name: string): Belt => ({
  id,
  ladder: "winds",
  rank: 1,
  name,
  color: "#2F7F93",
  weave: "check",
  knots: 2,
});
const belts = new Map([
  ["k", belt("k", "Kelp")],
  ["l", belt("l", "Lantern")],
]);
const row = (name: string, more: Partial<BeltRow>): BeltRow => ({
  studentId: name,
  name,
  classId: "c",
  instrument: "trumpet",
  instrumentName: "Trumpet",
  division: "",
  due: [],
  withdrawn: [],
  slots: [],
  needed: 0,
  filled: 0,
  asked: 0,
  alone: [],
  onLadder: true,
  ...more,
});

describe("the board of belts", () => {
  it("says of each what is next to do", () => {
    draw(
      <BeltTable
        belts={belts}
        rows={[
          row("Sunniva Drake", { wornBelt: "k", towardBelt: "l", due: [{ beltId: "l" }] }),
          row("Ilse Marangi", {
            wornBelt: "k",
            towardBelt: "l",
            needed: 1,
            asked: 3,
            alone: ["m"],
            slots: [
              {
                milestoneId: "m",
                kind: "LINE",
                name: "line 23",
                must: true,
                helps: true,
                needsRemedy: true,
                standing: { state: "TRIED", tries: 3, carriedOver: false, goodTries: 0 },
              },
            ],
          }),
          row("Kofi Lindqvist", {
            withdrawn: [{ handOverId: "h", beltId: "k", handedOn: "2026-10-09" }],
          }),
        ]}
      />,
    );
    const of = (name: string) => within(screen.getByRole("row", { name: new RegExp(name) }));
    expect(of("Sunniva").getByText("hand over Lantern")).toBeTruthy();
    expect(of("Sunniva").getByRole("img", { name: "Kelp belt" })).toBeTruthy();
    expect(of("Ilse").getByText("line 23", { selector: "b:not(.small b)" })).toBeTruthy();
    expect(of("Ilse").getByText(/another remedy first/)).toBeTruthy();
    expect(of("Kofi").getByText(/Kelp, handed over .* is no longer earned/)).toBeTruthy();
    expect(of("Kofi").getByRole("img", { name: "no belt yet" })).toBeTruthy();
  });

  it("names sections only where there are several", () => {
    draw(
      <BeltTable
        belts={belts}
        rows={[row("A", {}), row("B", { instrument: "horn", instrumentName: "Horn" })]}
      />,
    );
    expect(screen.getByRole("columnheader", { name: "Student" })).toBeTruthy();
    expect(screen.getByText("Horn")).toBeTruthy();
  });
});
