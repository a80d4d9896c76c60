import type { MilestoneKind } from "../../api/types";

export const kindName: Record<MilestoneKind, string> = {
  LINE: "line",
  TECHNIQUE_CHECK: "technique check",
  PLAYING_TEST: "playing test",
  WRITTEN_CHECK: "written check",
  FREE_CHOICE: "free choice",
  BELT: "belt",
};

export const kindPlural: Record<MilestoneKind, string> = {
  LINE: "Lines",
  TECHNIQUE_CHECK: "Technique checks",
  PLAYING_TEST: "Playing tests",
  WRITTEN_CHECK: "Written checks",
  FREE_CHOICE: "Free choices",
  BELT: "Belts",
};
