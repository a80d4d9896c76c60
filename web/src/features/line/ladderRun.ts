import type { Ladder } from "../../api/types";

/** Where a class stands in a ladder: the step, and which of its tempos. */
export interface Place {
  step: number;
  tempo: number;
  /** Tries at this tempo that were not clean. */
  again: number;
}

export const beginning: Place = { step: 0, tempo: 0, again: 0 };

/** Clean: the next tempo of the step, then the next step. */
export function clean(ladder: Ladder, place: Place): Place {
  const tempos = ladder.steps[place.step]?.tempos.length ?? 0;
  return place.tempo + 1 < tempos
    ? { ...place, tempo: place.tempo + 1, again: 0 }
    : { step: place.step + 1, tempo: 0, again: 0 };
}

/** Again: one tempo back; at the slowest it is counted, so that a smaller bite can be proposed. */
export const again = (place: Place): Place => ({
  ...place,
  tempo: Math.max(0, place.tempo - 1),
  again: place.tempo === 0 ? place.again + 1 : 0,
});
