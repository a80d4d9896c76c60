import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { outbox } from "../features/hear/outbox";
import { looks } from "../ui/looks";
import { agreeing } from "../ui/words";

/** Marks not sent yet, and marks the server refused: never hidden. */
export function WaitingMarks() {
  const client = useQueryClient();
  // Here and not where marks are made: what is recorded after the run was left is seen by the page that came next.
  useEffect(
    () =>
      outbox.onRecorded(() => {
        void client.invalidateQueries({ queryKey: ["progress"] });
        void client.invalidateQueries({ queryKey: ["partners"] });
      }),
    [client],
  );
  const { waiting, refused } = useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  if (waiting.length === 0 && refused.length === 0) return null;
  return (
    <details className={`${looks.dropdown} appears-late`}>
      <summary className="cursor-pointer list-none rounded-full bg-[var(--now)] px-3 py-1 text-sm font-semibold text-[#20242C]">
        {waiting.length > 0 ? `${waiting.length} to send` : `${refused.length} refused`}
      </summary>
      <div
        className={`${looks.dropdownContent} bg-base-100 text-base-content border-base-content z-40 mt-2 w-80 rounded-xl border-[1.5px] p-4 shadow-lg`}
      >
        {waiting.length > 0 && (
          <p>
            {waiting.length === 1 ? "One mark waits" : `${waiting.length} marks wait`} on this device and{" "}
            {agreeing(waiting.length, "is", "are")} sent as soon as the server answers.
          </p>
        )}
        {refused.map((entry) => (
          <div key={entry.id} className="mt-2">
            <p>
              <b>{entry.label}</b>: {entry.sentence}
            </p>
            <button type="button" className="small mr-4 underline" onClick={() => outbox.again(entry.id)}>
              Send again
            </button>
            <button type="button" className="small underline" onClick={() => outbox.drop(entry.id)}>
              Put aside
            </button>
          </div>
        ))}
      </div>
    </details>
  );
}
