import { describe, expect, it } from "vitest";
import {
  lateBy,
  partName,
  periodRequest,
  plannedAt,
  shortenedWords,
  stretched,
  type Spent,
  type Wish,
} from "./periodBar";

const wishes: Wish[] = [
  { key: "open", kind: "OPEN", name: "open", minutes: 8, least: 3 },
  { key: "teach 9", kind: "TEACH", name: "Line 9", minutes: 10, least: 4 },
  { key: "hear 9", kind: "HEAR", name: "Line 9", minutes: 12, least: 1, perStudent: 75 },
];
const spent: Spent = {
  segments: [
    { key: "open", begins: 0, minutes: 8 },
    { key: "teach 9", begins: 8, minutes: 10 },
    { key: "hear 9", begins: 18, minutes: 12 },
  ],
  spare: 3,
  shortened: [],
};

describe("the minutes of a period", () => {
  it("tells what goes on, and how late it runs", () => {
    expect(plannedAt(spent, 0)).toBe("open");
    expect(plannedAt(spent, 17)).toBe("teach 9");
    expect(plannedAt(spent, 31)).toBeUndefined();
    expect(lateBy(spent, "teach 9", 17)).toBe(0);
    expect(lateBy(spent, "teach 9", 22)).toBe(4);
    expect(lateBy(spent, "gone", 22)).toBe(0);
  });

  it("asks for the rest from what goes on, with what was given by hand", () => {
    const byHand = stretched({}, "hear 9", 40, 33);
    expect(byHand).toEqual({ "hear 9": 33 });
    const rest = periodRequest(wishes, byHand, 33, { goingOn: "teach 9", minute: 22 });
    expect(rest.from).toBe(22);
    expect(rest.wishes.map((wish) => [wish.key, wish.byHand])).toEqual([["hear 9", 33]]);
    expect(periodRequest(wishes, {}, 33).wishes).toHaveLength(3);
  });

  it("says what is shorter, of a hearing in students", () => {
    const short: Spent = {
      ...spent,
      shortened: [
        { key: "open", wanted: 8, minutes: 0 },
        { key: "teach 9", wanted: 10, minutes: 5 },
        { key: "hear 9", wanted: 12, minutes: 7 },
      ],
    };
    expect(shortenedWords(short, wishes)).toBe("leave out open, teach line 9 in 5 min, hear 4 fewer");
    expect(partName(wishes[2]!)).toBe("hear line 9");
  });
});
