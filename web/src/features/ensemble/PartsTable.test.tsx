import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { ProposedPartsOf } from "../../api/types";
import { draw, server } from "../../test/render";
import { PartsTable } from "./PartsTable";
import { askWords, divisionNames, played } from "./partWords";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const ask = (lineId: string, newNotes: string[], faster = false) => ({
  lineId,
  newNotes,
  faster,
  fits: newNotes.length === 0 && !faster,
});

const proposed: ProposedPartsOf = {
  parts: [
    { lineId: "high", title: "Gannet" },
    { lineId: "low", title: "Cormorant" },
  ],
  players: [
    {
      studentId: "bo",
      name: "Bo Lund",
      division: "",
      lineId: "high",
      asks: [ask("high", []), ask("low", [])],
    },
    {
      studentId: "ana",
      name: "Ana Reed",
      division: "2nd",
      lineId: "low",
      asks: [ask("high", ["A 5", "B-flat 5"], true), ask("low", [])],
    },
  ],
  unread: [],
};

describe("what a part asks", () => {
  it("names the notes and the speed, or that all is passed", () => {
    expect(askWords(ask("high", []))).toBe("all passed");
    expect(askWords(ask("high", ["A 5", "B-flat 5"]))).toBe("new: A5 B♭5");
    expect(askWords(ask("high", ["A 5"], true))).toBe("new: A5; faster than anything passed");
    expect(askWords(ask("high", [], true))).toBe("faster than anything passed");
  });

  it("keeps the names of divisions where there are as many", () => {
    expect(divisionNames(proposed).slice(0, 2)).toEqual(["1st", "2nd"]);
    const named = proposed.players.map((player, i) => ({ ...player, division: ["Second", "First"][i]! }));
    expect(divisionNames({ ...proposed, players: named })).toEqual(["First", "Second"]);
  });

  it("counts players where the director put them", () => {
    expect(played(proposed, {}, "high")).toEqual(["bo"]);
    expect(played(proposed, { ana: "high" }, "high")).toEqual(["bo", "ana"]);
    expect(played(proposed, { ana: "high" }, "low")).toEqual([]);
  });
});

describe("players beside their parts", () => {
  it("takes another choice than the one proposed, and seats the section so from a day on", async () => {
    const sent = server({
      "GET /api/year": { today: "2026-10-07", entries: [] },
      "PUT /api/classes/jazz/divisions": undefined,
    });
    draw(<PartsTable classId="jazz" instrument="flute" proposed={proposed} />);
    const bo = screen.getByRole("row", { name: /Bo Lund/ });
    expect(within(bo).getAllByRole("radio")[0]).toHaveProperty("checked", true);
    fireEvent.click(within(bo).getAllByRole("radio")[1]!);
    const ana = screen.getByRole("row", { name: /Ana Reed/ });
    fireEvent.click(within(ana).getByRole("radio", { name: /new: A5 B♭5/ }));
    expect(within(ana).getByText("proposed")).toBeDefined();
    fireEvent.change(await screen.findByLabelText("Gannet"), { target: { value: "Solo" } });
    fireEvent.click(screen.getByRole("button", { name: "Seat them so" }));
    await screen.findByText(/Seated so/);
    expect(sent.find((one) => one.path.endsWith("/divisions"))?.body).toEqual({
      instrument: "flute",
      startsOn: "2026-10-07",
      divisions: [
        { name: "Solo", students: ["ana"] },
        { name: "2nd", students: ["bo"] },
      ],
    });
  });
});
