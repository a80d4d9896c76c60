import { describe, expect, it } from "vitest";
import type { Student, SwitchView } from "../../api/types";
import { found, handSentence, requestOf, rowOf } from "./switchRows";

const student = (id: string, name: string, ...classes: string[]): Student => ({
  id,
  name,
  sortName: name,
  seats: classes.map((classId) => ({ classId, className: classId, instrument: "trumpet", division: "" })),
});

const wren = student("w", "Wren Halloran", "winds", "jazz");
const left = student("l", "Wren Who Left");

describe("who switches", () => {
  it("is found by any part of the name, seated and not there yet", () => {
    expect(found([wren, left], "hall", [])).toEqual([wren]);
    expect(found([wren, left], "wren", [])).toEqual([wren]);
    expect(found([wren], "wren", [rowOf(wren)])).toEqual([]);
    expect(found([wren], "  ", [])).toEqual([]);
  });

  it("stands in the class asked for, else in the first", () => {
    expect(rowOf(wren, "jazz").classId).toBe("jazz");
    expect(rowOf(wren, "strings").classId).toBe("winds");
  });

  it("is sent once an instrument is chosen; a borrowed one has no track", () => {
    const horn = { ...rowOf(wren), instrument: "horn" };
    const waiting = rowOf(student("x", "Xavi Moon", "winds"));
    expect(requestOf([horn, waiting], "2027-01-25", undefined, true)).toEqual({
      from: "2027-01-25",
      until: undefined,
      catchUp: true,
      students: [{ studentId: "w", classId: "winds", instrument: "horn" }],
    });
    expect(requestOf([horn], "2027-01-25", "2027-01-29", true).catchUp).toBe(false);
  });
});

describe("what the hand keeps", () => {
  const view = (keepsAll: boolean, ...kept: [string, SwitchView["hands"][number]["kept"]][]) => ({
    keepsAll,
    fromName: "Trumpet",
    toName: "Horn",
    hands: kept.map(([note, how]) => ({ note, was: "0", is: "0", kept: how })),
  });

  it("is said in one sentence", () => {
    expect(handSentence(view(false))).toBe(
      "No line with notes was passed on trumpet yet, so there is nothing to reuse.",
    );
    expect(handSentence(view(true, ["C 4", "ALIKE"], ["D 4", "ALIKE"]))).toBe(
      "All 2 notes known from trumpet are taken in the same way.",
    );
    expect(handSentence(view(false, ["C 4", "SAME_FINGERS"], ["D 4", "NEW"], ["G 4", "SAME_FINGERS"]))).toBe(
      "No note is taken in the same way; C4, G4 keep their fingers.",
    );
    expect(handSentence(view(false, ["C 4", "ALIKE"], ["D 4", "NEW"]))).toBe(
      "1 of 2 notes are taken in the same way.",
    );
  });
});
