import { cleanup, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import type { Pieces } from "../../api/types";
import { draw } from "../../test/render";
import { PiecesTable } from "./PiecesTable";

afterEach(cleanup);

type Section = Pieces["pieces"][number]["sections"][number];

const section = (more: Partial<Section>): Section => ({
  instrument: "flute",
  newNow: [],
  toTeach: [],
  coming: 0,
  others: [],
  asked: 8,
  weeks: 0,
  fits: true,
  ...more,
});

const compared: Pieces = {
  by: "2027-03-18",
  weeksLeft: 3,
  sections: [
    { instrument: "flute", instrumentName: "Flute" },
    { instrument: "horn", instrumentName: "Horn" },
  ],
  pieces: [
    {
      lineId: "petrel",
      title: "Storm petrel",
      concertKey: "E-flat major",
      measures: 8,
      sections: [
        section({ newNow: ["E-flat 6", "E 6"], toTeach: ["E-flat 6"], coming: 1, weeks: 1 }),
        section({ instrument: "horn", newNow: ["F 3"], coming: 1 }),
      ],
    },
    {
      lineId: "pier",
      title: "Lanterns",
      concertKey: "A-flat major",
      measures: 12,
      sections: [
        section({ newNow: ["C-flat 5"], toTeach: ["C-flat 5"], weeks: 4, fits: false, others: ["4 flats"] }),
      ],
    },
  ],
};

describe("candidates side by side", () => {
  it("tells by section what is to be taught, what comes by itself and what does not fit", () => {
    draw(<PiecesTable compared={compared} />);
    const [, petrel, pier] = screen.getAllByRole("columnheader");
    expect(petrel!.textContent).toContain("Storm petrel");
    expect(pier!.textContent).toContain("12 measures");
    const flute = within(screen.getByRole("row", { name: /^Flute/ })).getAllByRole("cell");
    expect(flute[0]!.textContent).toBe("E♭6 1 week1 new note by itself");
    expect(flute[1]!.textContent).toBe("C♭5 4 weeks, too manyalso new: 4 flats");
    const horn = within(screen.getByRole("row", { name: /^Horn/ })).getAllByRole("cell");
    expect(horn[0]!.textContent).toBe("its notes come by themselves");
    expect(horn[1]!.textContent).toBe("its notes are not known");
  });
});
