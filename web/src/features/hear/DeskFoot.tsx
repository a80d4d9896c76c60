import type { Evidence } from "../../api/types";
import { looks } from "../../ui/looks";
import { Kbd } from "../../ui/parts";

interface Props {
  /** What was recorded last, in words; undefined where nothing can be undone. */
  lastDone?: string;
  onUndo: () => void;
  /** Undefined while no note is written. */
  note?: string;
  onNote: (note: string | undefined) => void;
  onPain: () => void;
  evidence: Evidence;
  onEvidence: (evidence: Evidence) => void;
  piece: string;
  onPiece: (piece: string) => void;
  /** Whether the student brings the piece, so that it is named however it is heard. */
  ownPiece: boolean;
  /** Whether a substitute piece counts as a pass for who is heard. */
  substituteCounts: boolean;
  /** Several at once; not where points are given. */
  together?: { onAtOnce: () => void; onGroup: () => void };
}

/** What is written and chosen beside an outcome, and the way back. */
export function DeskFoot({
  lastDone,
  onUndo,
  note,
  onNote,
  onPain,
  evidence,
  onEvidence,
  piece,
  onPiece,
  ownPiece,
  substituteCounts,
  together,
}: Props) {
  return (
    <>
      {note !== undefined && (
        <label className="mt-3 flex items-center gap-3">
          <span className="font-semibold">Note</span>
          <input
            autoFocus
            maxLength={1000}
            value={note}
            placeholder="kept with this try; Enter returns to the keys"
            className={`${looks.input} w-full`}
            onChange={(event) => onNote(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === "Escape") onNote(undefined);
              if (event.key === "Enter" || event.key === "Escape") {
                event.preventDefault();
                event.currentTarget.blur();
              }
            }}
          />
        </label>
      )}
      <div className="small soft mt-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <button type="button" disabled={!lastDone} onClick={onUndo} className="disabled:opacity-50">
          <Kbd>U</Kbd> {lastDone ? `undo last: ${lastDone}` : "undo"}
        </button>
        <button type="button" onClick={() => onNote(note ?? "")}>
          <Kbd>N</Kbd> note
        </button>
        <button type="button" onClick={onPain}>
          <Kbd>P</Kbd> pain
        </button>
        <label className="flex items-center gap-2">
          heard
          <select
            className="hairline bg-base-100 text-base-content rounded-md border-[1.5px] px-1.5 py-0.5"
            value={evidence}
            onChange={(event) => onEvidence(event.target.value as Evidence)}
          >
            <option value="LIVE_ALONE">live, alone</option>
            <option value="LIVE_WITH_SECTION">live, with the section</option>
            <option value="PARTNER_CHECK">by a partner</option>
            <option value="RECORDING">as a recording</option>
            <option value="SUBSTITUTE">as a substitute piece</option>
          </select>
        </label>
        {(ownPiece || evidence === "SUBSTITUTE") && (
          <label className="flex items-center gap-2">
            piece
            <input
              maxLength={120}
              value={piece}
              placeholder="which one was played"
              className="hairline bg-base-100 text-base-content rounded-md border-[1.5px] px-1.5 py-0.5"
              onChange={(event) => onPiece(event.target.value)}
            />
            {!ownPiece && (substituteCounts ? "counts as a pass" : "is kept, and the set piece stays open")}
          </label>
        )}
        {together && (
          <>
            <button type="button" onClick={together.onAtOnce}>
              <Kbd>S</Kbd> whole section at once
            </button>
            <button type="button" onClick={together.onGroup}>
              <Kbd>G</Kbd> a few together
            </button>
          </>
        )}
        <span className="hidden sm:inline">
          <Kbd>?</Kbd> all keys
        </span>
      </div>
    </>
  );
}
