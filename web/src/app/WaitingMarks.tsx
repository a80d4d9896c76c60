import clsx from "clsx";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { outbox } from "../features/hear/outbox";
import { looks } from "../ui/looks";
import { agreeing, counted } from "../ui/words";

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
  const { waiting, refused, others, stopped, keepsNothing, withoutLocks } = useSyncExternalStore(
    outbox.subscribe,
    outbox.snapshot,
  );
  const toSend = waiting.length > 0;
  if (!toSend && refused.length === 0 && others.length === 0 && !keepsNothing) return null;
  const urgent = toSend || refused.length > 0 || keepsNothing;
  return (
    <details className={`${looks.dropdown} appears-late`}>
      <summary
        className={clsx(
          "cursor-pointer list-none rounded-full px-3 py-1 text-sm font-semibold",
          urgent ? "bg-[var(--now)] text-[#20242C]" : "border border-current text-[var(--bar-soft)]",
        )}
      >
        {toSend
          ? `${waiting.length} to send`
          : refused.length > 0
            ? `${refused.length} refused`
            : keepsNothing
              ? "Keeps nothing"
              : "Marks of others"}
      </summary>
      <div
        className={`${looks.dropdownContent} bg-base-100 text-base-content border-base-content z-40 mt-2 grid w-80 gap-2 rounded-xl border-[1.5px] p-4 shadow-lg`}
      >
        {toSend && (
          <p>
            {waiting.length === 1 ? "One mark waits" : `${waiting.length} marks wait`} on this device and{" "}
            {agreeing(waiting.length, "is", "are")} sent as soon as the server answers.
          </p>
        )}
        {toSend && stopped !== undefined && (
          <p>
            <b>{stopped}</b> The marks stay here meanwhile.{" "}
            <button
              type="button"
              className="underline"
              onClick={() => void client.refetchQueries({ queryKey: ["me"] })}
            >
              Sign in
            </button>
          </p>
        )}
        {keepsNothing && (
          <p>
            This device keeps no marks: it is full, or the window is private. They are sent at once; leave
            this page open until they are.
          </p>
        )}
        {toSend && withoutLocks && (
          <p className="small soft">
            Opened without https the app works in one tab, and not without the server. The guide for the
            office says how to change that.
          </p>
        )}
        {refused.map((entry) => (
          <div key={entry.id}>
            <p>
              <b>{entry.label}</b>: {entry.sentence}
            </p>
            <button
              type="button"
              className="small mr-4 underline"
              onClick={() => void outbox.again(entry.id)}
            >
              Send again
            </button>
            <button type="button" className="small underline" onClick={() => outbox.drop(entry.id)}>
              Put aside
            </button>
          </div>
        ))}
        {others.map(({ name, count }) => (
          <p key={name} className="small soft">
            {counted(count, "mark")} of {name} {agreeing(count, "waits", "wait")} here until {name} signs in.
          </p>
        ))}
      </div>
    </details>
  );
}
