import { useCallback, useState } from "react";
import { ResetExercise } from "../ui/ResetExercise";
import { useKeys } from "./useKeys";

/** The reset exercise by one key, over whatever is going on; afterwards everything is where it was. */
export function useReset() {
  const [going, setGoing] = useState(false);
  const done = useCallback(() => setGoing(false), []);
  useKeys({ r: () => setGoing(true) });
  return { begin: () => setGoing(true), exercise: going && <ResetExercise onDone={done} /> };
}
