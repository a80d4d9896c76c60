import { useSyncExternalStore } from "react";
import { newVersion } from "./newVersion";
import { useReach } from "./useReach";

const chip = "rounded-full border border-current px-3 py-1 text-sm text-[var(--bar-content)]";

/** What the whole app has to say, beside the marks that wait: the server is away, a new version is there. */
export function Notices() {
  const away = useReach();
  const waiting = useSyncExternalStore(newVersion.subscribe, newVersion.isWaiting);
  return (
    <>
      <span role="status" className="empty:hidden">
        {away && (
          <span
            className={chip}
            title="You see what this device kept of today. Marks are kept and sent when the server answers."
          >
            Server away
          </span>
        )}
      </span>
      {waiting && !away && (
        <button type="button" className={chip} onClick={newVersion.accept} title="Loads the page anew">
          New version
        </button>
      )}
    </>
  );
}
