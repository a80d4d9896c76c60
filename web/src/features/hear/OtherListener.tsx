import { foundWords } from "./run";
import type { useListeners } from "./useListeners";

interface Props {
  studentId: string;
  name: string;
  others: ReturnType<typeof useListeners>;
}

/** Somebody else hears the student at this desk, or has just marked them: said before it is marked twice. */
export function OtherListener({ studentId, name, others }: Props) {
  const heardBy = others.heardBy.get(studentId);
  const marked = others.justMarked;
  if (!heardBy && !marked) return null;
  return (
    <p role="status" className="mt-1 mb-2 border-l-[3.5px] border-[var(--now)] pl-3">
      {marked
        ? `${marked.hearerName} has just marked ${name}${foundWords(others.scored, marked.outcome)}.`
        : `${heardBy} is hearing ${name} at this moment.`}
    </p>
  );
}
