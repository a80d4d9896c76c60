import { useEffect, useRef } from "react";
import type { OrderSheet } from "../../api/types";
import { span } from "../../app/days";
import { Button, Kbd } from "../../ui/parts";

/** The week for the projector: what everybody has in large letters, and what is each section's own. */
export function SheetProjector({
  sheet,
  parts,
  onClose,
}: {
  sheet: OrderSheet;
  parts: OrderSheet["parts"];
  onClose: () => void;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      onClose={onClose}
      aria-label="The week on the board"
      className="bg-base-100 text-base-content m-0 h-dvh max-h-none w-dvw max-w-none overflow-y-auto p-8"
    >
      <div className="mb-5 flex items-baseline gap-6">
        <h2 className="text-[2.6rem]">{sheet.className}</h2>
        <span className="text-[1.6rem]">{span(sheet.monday, sheet.friday)}</span>
        <Button className="ml-auto" onClick={onClose}>
          Close <Kbd>Esc</Kbd>
        </Button>
      </div>
      <ul className="gap-x-12 lg:columns-2">
        {parts
          .filter((part) => part.items.length > 0)
          .map((part) => (
            <li key={part.instrument + part.division} className="mb-6 break-inside-avoid">
              <h3 className="display border-b-[3px] border-current text-[1.9rem]">
                {part.name}
                {part.division && `, ${part.division}`}
              </h3>
              {part.items.map((item) => (
                <p key={item.milestoneId} className="text-[1.55rem] leading-snug">
                  <b>{item.title}</b>
                  {item.writtenKey && `, ${item.writtenKey}`}
                  {item.place && `, ${item.place}`}
                  {item.news.length > 0 && (
                    <span className="text-[var(--brass)]"> · new: {item.news.join("; ")}</span>
                  )}
                </p>
              ))}
            </li>
          ))}
      </ul>
    </dialog>
  );
}
