import { describe, expect, it } from "vitest";
import type { Folder } from "../../api/types";
import { switchesOf } from "./switchesOf";

const seat = (
  classId: string,
  instrument: string,
  startsOn: string,
  endsOn?: string,
): Folder["seats"][number] => ({
  classId,
  className: classId,
  instrument,
  instrumentName: instrument,
  division: "",
  startsOn,
  endsOn,
});

describe("changes of instrument", () => {
  const trumpet = seat("winds", "trumpet", "2026-08-24", "2027-01-24");
  const horn = seat("winds", "horn", "2027-01-25");

  it("are told once each, by class", () => {
    expect(switchesOf([horn, trumpet, seat("jazz", "trumpet", "2026-08-24")])).toEqual([
      { before: trumpet, after: horn },
    ]);
    expect(switchesOf([seat("winds", "horn", "2026-08-24")])).toEqual([]);
    expect(switchesOf([])).toEqual([]);
  });

  it("are none where somebody came back from a borrowed instrument", () => {
    const borrowed = seat("winds", "horn", "2027-01-25", "2027-01-29");
    expect(switchesOf([trumpet, borrowed, seat("winds", "trumpet", "2027-01-30")])).toEqual([]);
  });
});
