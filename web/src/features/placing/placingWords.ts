import type { Trial } from "../../api/types";

export type Aspect = keyof Trial["seen"];

/** What is looked at, and what its least and its most mean. */
export const aspects: readonly { aspect: Aspect; name: string; least: string; most: string }[] = [
  { aspect: "sound", name: "Sound", least: "strained", most: "clear and steady" },
  { aspect: "response", name: "Response", least: "hardly speaks", most: "at once" },
  { aspect: "comfort", name: "Comfort", least: "hurts or tires", most: "at ease" },
  { aspect: "reach", name: "Reach", least: "out of reach", most: "all in reach" },
  { aspect: "wish", name: "Wish", least: "does not want it", most: "wants it most" },
];

export const mouthpieces: Record<Trial["mouthpiece"], string> = {
  OWN: "on the whole instrument",
  ALONE: "mouthpiece or head joint alone",
  LARGER: "a larger mouthpiece, for a moment",
};

/** "2 → 3", or one number where nothing changed or was seen once. */
export const grew = (first: number, last: number): string =>
  first === last ? String(last) : `${first} → ${last}`;
