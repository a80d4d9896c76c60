import type { StarterCheck } from "../../api/types";

export type Topic = StarterCheck["check"]["topic"];

/** Topics in the order they are taught, as headings. */
export const topicNames: Record<Topic, string> = {
  HANDLING: "Handling",
  ASSEMBLY: "Together and apart",
  BODY: "Body",
  RELEASE: "Let go",
  READING: "Reading",
  BREATH: "Breath",
  HOLD: "Hold",
  LEFT_HAND: "Left hand",
  RIGHT_HAND: "Right hand",
  FIRST_SOUND: "First sound",
  ARTICULATION: "Articulation",
  STARTING_NOTES: "Starting notes",
  SLIDE: "Slide",
  BOW_HOLD: "Bow hold",
  BOW_PATH: "Bow path",
  FINGER_PATTERN: "Finger patterns",
  SHIFT: "Shifts",
  FIRST_NOTES: "First notes",
  FIRST_TUNE: "First tune",
  CARE: "Care",
};

export const topics = Object.keys(topicNames) as Topic[];
