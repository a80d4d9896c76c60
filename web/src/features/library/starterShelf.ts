import type { StarterCheck } from "../../api/types";

/** Topics in the order they are taught, as headings. */
export const topicNames: Record<StarterCheck["check"]["topic"], string> = {
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

const order = Object.keys(topicNames);

/** The starter checks for one instrument, or all, in teaching order; those made for it before those for everybody. */
export function startersFor(
  starters: readonly StarterCheck[],
  instrument: string | undefined,
): StarterCheck[] {
  return starters
    .filter(
      ({ check }) => !instrument || check.appliesTo.length === 0 || check.appliesTo.includes(instrument),
    )
    .toSorted((a, b) => order.indexOf(a.check.topic) - order.indexOf(b.check.topic));
}
