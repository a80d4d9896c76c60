import { useEffect, useState } from "react";
import { watchRun, type OnScreen } from "./secondScreen";

/** For the projector: who plays now and what, in letters that are read from the last row. */
export function SecondScreenPage() {
  const [shown, setShown] = useState<OnScreen>({ line: "" });
  useEffect(() => watchRun(setShown), []);
  return (
    <main className="bg-base-100 text-base-content grid min-h-screen content-center gap-[4vh] px-[5vw] text-center">
      <h1 className="display text-[clamp(3rem,11vw,12rem)] leading-[1.05] text-balance" aria-live="polite">
        {shown.name ?? (shown.line ? "That was everybody" : "Nobody is heard at the moment")}
      </h1>
      {shown.name && <p className="text-[clamp(1.4rem,4vw,4rem)]">{shown.line}</p>}
      {shown.next && <p className="soft text-[clamp(1.1rem,2.4vw,2.4rem)]">next: {shown.next}</p>}
    </main>
  );
}
