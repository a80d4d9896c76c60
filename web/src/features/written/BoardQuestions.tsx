import { useEffect, useRef, useState } from "react";
import type { WrittenSheet } from "../../api/types";
import { Button, Kbd } from "../../ui/parts";
import { AskedLine } from "./Sheet";
import { back, further } from "./written";

interface Props {
  sheet: WrittenSheet;
  section: string;
  instrument: string;
  onClose: () => void;
}

/** One question after another in large letters, the answer hidden until a key. */
export function BoardQuestions({ sheet, section, instrument, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [shown, setShown] = useState({ question: 0, answered: false });
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    dialog.current?.showModal();
    // Space goes on, whatever was pressed to open this.
    heading.current?.focus();
  }, []);
  const next = () => setShown((now) => further(now, sheet.questions.length));
  const keys: Record<string, () => void> = {
    " ": next,
    Enter: next,
    ArrowRight: next,
    ArrowLeft: () => setShown(back),
  };
  /** A button that was pressed gives the keys back. */
  const once = (act: () => void) => () => {
    act();
    heading.current?.focus();
  };
  const question = sheet.questions[shown.question];
  return (
    <dialog
      ref={dialog}
      onClose={onClose}
      onKeyDown={(event) => {
        const act = keys[event.key];
        const onButton = event.target instanceof HTMLButtonElement && !event.key.startsWith("Arrow");
        if (!act || onButton) return;
        event.preventDefault();
        act();
      }}
      aria-label="Questions on the board"
      className="bg-base-100 text-base-content m-0 h-dvh max-h-none w-dvw max-w-none overflow-y-auto p-8"
    >
      <div className="mb-4 flex flex-wrap items-baseline gap-6">
        <h2 ref={heading} tabIndex={-1} className="text-[2rem] outline-none">
          {sheet.title}
        </h2>
        <span className="text-[1.3rem]">{section}</span>
        <Button className="ml-auto" onClick={onClose}>
          Close <Kbd>Esc</Kbd>
        </Button>
      </div>
      {question && (
        <>
          <div className="[zoom:1.35]">
            <AskedLine
              key={question.lineId}
              lineId={question.lineId}
              instrument={instrument}
              section={section}
            />
          </div>
          <p className="mt-8 text-[2.1rem] leading-snug">
            <b className="display mr-4">{shown.question + 1}</b>
            {question.question}
          </p>
          <p className="mt-4 min-h-16 text-[2.4rem] font-bold" aria-live="polite">
            {shown.answered ? question.answer : ""}
          </p>
          <div className="mt-4 flex gap-3">
            <Button onClick={once(() => setShown(back))}>Back</Button>
            <Button look="primary" onClick={once(next)}>
              {shown.answered ? "Next" : "Answer"} <Kbd>Space</Kbd>
            </Button>
            <span className="soft ml-auto self-center">
              {shown.question + 1} of {sheet.questions.length}
            </span>
          </div>
        </>
      )}
    </dialog>
  );
}
