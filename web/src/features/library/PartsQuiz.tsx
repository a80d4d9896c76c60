import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Button } from "../../ui/parts";
import { partsQuery } from "./checks.queries";
import { PartsDrawing } from "./PartsDrawing";
import { shuffled } from "./partsQuiz";

/** Numbers on a drawing and no names: ask, reveal, mark those that are never touched. */
export function PartsQuiz({ instrument }: { instrument?: string }) {
  const parts = useQuery(partsQuery(instrument));
  const [asked, setAsked] = useState<readonly number[]>();
  const [at, setAt] = useState(0);
  const [shown, setShown] = useState(false);
  if (!parts.data) return null;
  const all = parts.data.parts;
  const now = asked && all.find((part) => part.number === asked[at]);
  const begin = () => {
    setAsked(shuffled(all.map((part) => part.number)));
    setAt(0);
    setShown(false);
  };
  const next = () => {
    setAt(at + 1);
    setShown(false);
  };
  return (
    <section aria-label="Parts" className="mt-6">
      <h2 className="soft mb-2 font-sans text-[0.9rem] font-normal tracking-normal">Parts</h2>
      <div className="grid items-start gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <PartsDrawing
          kind={parts.data.kind}
          numbers={all.map((part) => part.number)}
          never={all.filter((part) => part.never).map((part) => part.number)}
          asked={now?.number}
        />
        <div className="grid content-start gap-3">
          {!asked && (
            <ol className="grid gap-0.5">
              {all.map((part) => (
                <li key={part.number} className="grid grid-cols-[1.8rem_1fr]">
                  <b>{part.number}</b>
                  <span>
                    {part.name}
                    {part.never && <span className="small soft"> never turned or pushed by you</span>}
                  </span>
                </li>
              ))}
            </ol>
          )}
          {now && (
            <p aria-live="polite" className="text-[1.35rem]">
              What is <b>{now.number}</b>?{" "}
              {shown && (
                <>
                  <b>{now.name}</b>
                  {now.never && <span className="soft">, never turned or pushed by you</span>}
                </>
              )}
            </p>
          )}
          {asked && !now && <p role="status">All {all.length} parts were asked.</p>}
          <div className="no-print flex gap-2">
            {!now && <Button onClick={begin}>{asked ? "Ask again" : "Ask without names"}</Button>}
            {now && !shown && (
              <Button look="primary" onClick={() => setShown(true)}>
                Show the name
              </Button>
            )}
            {now && shown && (
              <Button look="primary" onClick={next}>
                Next
              </Button>
            )}
            {asked && <Button onClick={() => setAsked(undefined)}>Back to the names</Button>}
          </div>
        </div>
      </div>
    </section>
  );
}
