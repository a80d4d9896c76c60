import { expect, it } from "vitest";
import { eachWords, fitWords } from "./paceWords";

const pace = { secondsPerStudent: 80, learntFrom: 4, neededSeconds: 480, inTime: 6, fits: true };

it("says what each takes, as planned or as the run has shown", () => {
  expect(eachWords(undefined, 52)).toBe("52 s each, with a word and the changeover");
  expect(eachWords({ ...pace, learntFrom: 0 }, 52)).toBe("52 s each, with a word and the changeover");
  expect(eachWords(pace, 52)).toBe("1 min 20 s each so far");
});

it("says whether it fits before the bell, and nothing where there is none", () => {
  expect(fitWords(undefined)).toBe("");
  expect(fitWords(pace)).toBe("");
  expect(fitWords({ ...pace, secondsToBell: 545 })).toBe("Fits: 9 minutes to the bell");
  expect(fitWords({ ...pace, secondsToBell: 185, fits: false, inTime: 2 })).toBe(
    "2 more fit: 3 minutes to the bell",
  );
  expect(fitWords({ ...pace, secondsToBell: 30, fits: false, inTime: 0 })).toBe(
    "Nobody more fits: the bell is about to ring",
  );
});
