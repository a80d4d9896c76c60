import { at } from "../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRef, useState, useSyncExternalStore } from "react";
import { remove } from "../api/http";
import type { Me } from "../api/types";
import { keptReads } from "./kept/client";
import { outbox } from "../features/hear/outbox";
import { roleNames } from "./role";
import { SignOutWaiting } from "./SignOutWaiting";
import { currentTheme, setTheme } from "./theme";
import { looks } from "../ui/looks";

const initials = (name: string) =>
  name
    .split(/\s+/)
    .map((word) => word[0] ?? "")
    .slice(0, 2)
    .join("")
    .toUpperCase();

export function PersonMenu({
  me,
  onKeys,
  onPassword,
}: {
  me: Me;
  onKeys: () => void;
  onPassword: () => void;
}) {
  const client = useQueryClient();
  const menu = useRef<HTMLDetailsElement>(null);
  const closing = (then: () => void) => () => {
    if (menu.current) menu.current.open = false;
    then();
  };
  const [theme, setCurrent] = useState(currentTheme);
  const signOut = useMutation({
    mutationFn: () => remove(at("/api/session")),
    onSettled: async () => {
      client.clear();
      await keptReads.clear();
      window.location.assign("/");
    },
  });
  const { waiting } = useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  const [leaving, setLeaving] = useState(false);
  const other = theme === "paper" ? "pit" : "paper";
  return (
    <>
      <details ref={menu} className={looks.dropdown}>
        <summary
          aria-label={`${me.displayName}, menu`}
          className="grid size-8 cursor-pointer list-none place-items-center rounded-full border-[1.5px] border-[var(--bar-content)] text-[13px]"
        >
          {initials(me.displayName)}
        </summary>
        <div
          className={`${looks.dropdownContent} bg-base-100 text-base-content border-base-content z-40 mt-2 w-60 rounded-xl border-[1.5px] p-2 shadow-lg`}
        >
          <p className="px-3 pt-1 font-semibold">{me.displayName}</p>
          <p className="small soft px-3 pb-2">
            {roleNames[me.role]}, {me.program}
          </p>
          <button
            type="button"
            className="hover:bg-base-200 block w-full rounded-lg px-3 py-2 text-left"
            onClick={() => {
              setTheme(other);
              setCurrent(other);
            }}
          >
            {other === "pit" ? "Dark, for the pit" : "Light, for the day"}
          </button>
          <button
            type="button"
            className="hover:bg-base-200 block w-full rounded-lg px-3 py-2 text-left"
            onClick={closing(onKeys)}
          >
            Keys of this screen
          </button>
          <button
            type="button"
            className="hover:bg-base-200 block w-full rounded-lg px-3 py-2 text-left"
            onClick={closing(onPassword)}
          >
            Your password
          </button>
          <button
            type="button"
            className="hover:bg-base-200 block w-full rounded-lg px-3 py-2 text-left"
            onClick={() => (waiting.length > 0 ? closing(() => setLeaving(true))() : signOut.mutate())}
          >
            Sign out
          </button>
        </div>
      </details>
      {leaving && (
        <SignOutWaiting
          name={me.displayName}
          count={waiting.length}
          onLeave={() => signOut.mutate()}
          onClose={() => setLeaving(false)}
        />
      )}
    </>
  );
}
