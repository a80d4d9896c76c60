import { describe, expect, it } from "vitest";
import type { BeltRow, BeltSlot } from "../../api/types";
import { beltWords } from "./beltWords";

const belts = new Map([
  ["h", { name: "Harbour" }],
  ["l", { name: "Lantern" }],
]);
const slot = (name: string, more: Partial<BeltSlot> = {}): BeltSlot => ({
  milestoneId: name,
  kind: "LINE",
  name,
  must: true,
  helps: true,
  needsRemedy: false,
  standing: { state: "SET", tries: 0, carriedOver: false, goodTries: 0 },
  ...more,
});
const row = (more: Partial<BeltRow>): BeltRow => ({
  studentId: "s",
  name: "Ilse Marangi",
  classId: "c",
  instrument: "trumpet",
  instrumentName: "Trumpet",
  division: "",
  due: [],
  withdrawn: [],
  towardBelt: "h",
  slots: [],
  needed: 0,
  filled: 0,
  asked: 0,
  alone: [],
  onLadder: true,
  ...more,
});

describe("what is said beside the marks", () => {
  it("is the belts to hand over before anything else", () => {
    const words = beltWords(row({ due: [{ beltId: "l" }, { beltId: "h" }] }), belts);
    expect(words).toEqual({ kind: "handOver", belts: ["Lantern", "Harbour"] });
  });

  it("tells the top of a ladder from an instrument without one", () => {
    expect(beltWords(row({ towardBelt: undefined }), belts).kind).toBe("top");
    expect(beltWords(row({ towardBelt: undefined, onLadder: false }), belts).kind).toBe("noLadder");
  });

  it("names what one hearing would do, and whether a recording waits", () => {
    const waiting = slot("test 1", {
      standing: { state: "RECORDING_WAITING", tries: 0, carriedOver: false, goodTries: 0 },
    });
    expect(
      beltWords(
        row({ slots: [slot("line 3", { helps: false }), waiting], needed: 1, asked: 2, alone: ["test 1"] }),
        belts,
      ),
    ).toEqual({ kind: "oneHearing", names: "test 1", waiting: true, remedy: undefined });
  });

  it("counts what is filled of what is asked, and names the remedy due", () => {
    const words = beltWords(
      row({
        slots: [slot("endpin"), slot("page 3", { needsRemedy: true }), slot("hold", { helps: false })],
        needed: 2,
        filled: 4,
        asked: 6,
      }),
      belts,
    );
    expect(words).toEqual({
      kind: "missing",
      filled: 4,
      asked: 6,
      names: "endpin, page 3",
      remedy: "page 3",
    });
  });

  it("says of how many any would do", () => {
    const words = beltWords(row({ slots: [slot("a"), slot("b"), slot("c")], needed: 2, asked: 4 }), belts);
    expect(words).toMatchObject({ names: "2 of a, b, c" });
  });
});
