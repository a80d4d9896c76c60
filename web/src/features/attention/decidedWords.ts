import type { DecisionOutcome } from "../../api/types";

export const decidedWords: Record<DecisionOutcome["decided"], string> = {
  GO_ON: "go on",
  GO_ON_WITH_CATCH_UP: "go on with a catch-up group",
  STAY: "stay",
  HEAR_THE_REST: "hear the rest",
  NOBODY_HEARD: "hear somebody first",
};

export const turnedWords: Record<DecisionOutcome["turned"], string> = {
  OPEN: "too early to say",
  CAUGHT_UP: "the section has it",
  GAINED: "gained, some still behind",
  STOOD_STILL: "nobody behind has passed since",
};
