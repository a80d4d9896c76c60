import { useEffect, useRef } from "react";

/** Whether a key press belongs to a field someone is typing in, or to an open dialog. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      target.closest("input:not([type=checkbox]):not([type=radio]), textarea, select, dialog[open]") !== null)
  );
}

/** Keys of the screen shown: a handler by key, letters in lower case. Buttons keep Enter and Space when focused. */
export function useKeys(handlers: Record<string, (() => void) | undefined>) {
  const latest = useRef(handlers);
  useEffect(() => {
    latest.current = handlers;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target))
        return;
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const pressesFocused =
        (key === "Enter" || key === " ") &&
        event.target instanceof HTMLElement &&
        event.target.closest("button, a, summary, [role=button]") !== null;
      const handler = latest.current[key];
      if (handler && !pressesFocused) {
        event.preventDefault();
        handler();
      }
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);
}
