import { jumpField, jumpFrame } from "./jumpLook";

/** Takes what is typed until the box is there, so that no letter behind its key is lost. */
export function JumpWaiting({ typed, onType }: { typed: string; onType: (text: string) => void }) {
  return (
    <div className={jumpFrame}>
      <input
        autoFocus
        aria-label="Jump to"
        className={jumpField}
        value={typed}
        onChange={(event) => onType(event.target.value)}
      />
    </div>
  );
}
