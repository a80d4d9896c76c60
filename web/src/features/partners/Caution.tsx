/** What partners do when they see strain. */
export function Caution() {
  return (
    <p className="small border-l-[3.5px] border-[var(--now)] pl-3">
      White knuckles, a raised shoulder, a clamped jaw: stop, shake out, breathe, begin again. If something
      hurts, stop and tell the director.
    </p>
  );
}
