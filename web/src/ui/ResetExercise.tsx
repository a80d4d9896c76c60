import { useEffect, useRef, useState } from "react";
import { looks } from "./looks";
import { Button, Kbd } from "./parts";

/** Own wording; a few seconds each, instruments at rest. */
const steps = [
  { words: "Let go", what: "Instruments to rest. Let both arms hang.", seconds: 6 },
  { words: "Shake out", what: "Hands, wrists, elbows; loose, without hurry.", seconds: 8 },
  { words: "Lift", what: "Shoulders up to the ears, hold, let them drop. Twice.", seconds: 10 },
  { words: "Breathe", what: "In low and quietly, out slowly. Then up again.", seconds: 8 },
] as const;

/** A pause for the hands of the whole class, in big letters; afterwards everything is where it was. */
export function ResetExercise({ onDone }: { onDone: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [at, setAt] = useState(0);
  useEffect(() => dialog.current?.showModal(), []);
  const step = steps[at];
  useEffect(() => {
    if (!step) return onDone();
    const timer = setTimeout(() => setAt((now) => now + 1), step.seconds * 1000);
    return () => clearTimeout(timer);
  }, [step, onDone]);
  if (!step) return null;
  return (
    <dialog ref={dialog} onClose={onDone} className={looks.modal} aria-label="Reset">
      <div className={`${looks.modalBox} bg-base-100 max-w-3xl py-10 text-center`}>
        <p className="display text-[5rem] leading-tight" aria-live="polite">
          {step.words}
        </p>
        <p className="text-2xl">{step.what}</p>
        <p className="small soft mt-6">
          {steps.map((one, i) => (
            <span key={one.words} className={i === at ? "font-semibold" : undefined}>
              {i > 0 && " · "}
              {one.words}
            </span>
          ))}
        </p>
        <p className="small soft mt-2">Something hurts: stop, and say so.</p>
        <Button className="mt-6" onClick={() => dialog.current?.close()}>
          Go on <Kbd>Esc</Kbd>
        </Button>
      </div>
    </dialog>
  );
}
