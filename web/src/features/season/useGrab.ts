import { useEffect, useRef, useState, type PointerEvent as ReactPointerEvent } from "react";

/** Further than a finger trembles. */
const FAR_ENOUGH = 6;

interface Grab {
  id: string;
  x: number;
  y: number;
  moving: boolean;
}

interface Acts {
  onStart: (id: string) => void;
  onOver: (monday: string) => void;
  onDrop: () => void;
  onCancel: () => void;
}

const weekUnder = (x: number, y: number) =>
  document.elementFromPoint(x, y)?.closest<HTMLElement>("[data-week]")?.dataset.week;

/** Dragging a block of the score with mouse, pen or finger from one week to another. */
export function useGrab(acts: Acts) {
  const [held, setHeld] = useState(false);
  const grab = useRef<Grab>(undefined);
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    if (!held) return;
    const move = (event: PointerEvent) => {
      const now = grab.current;
      if (!now) return;
      if (!now.moving && Math.hypot(event.clientX - now.x, event.clientY - now.y) > FAR_ENOUGH) {
        now.moving = true;
        latest.current.onStart(now.id);
      }
      const week = now.moving && weekUnder(event.clientX, event.clientY);
      if (week) latest.current.onOver(week);
    };
    const end = (event: PointerEvent) => {
      const moved = grab.current?.moving;
      grab.current = undefined;
      setHeld(false);
      if (!moved) return;
      if (event.type === "pointerup" && weekUnder(event.clientX, event.clientY)) latest.current.onDrop();
      else latest.current.onCancel();
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", end);
    window.addEventListener("pointercancel", end);
    return () => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", end);
      window.removeEventListener("pointercancel", end);
    };
  }, [held]);
  return (id: string, event: ReactPointerEvent) => {
    if (event.button !== 0) return;
    grab.current = { id, x: event.clientX, y: event.clientY, moving: false };
    setHeld(true);
  };
}
