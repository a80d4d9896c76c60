import { useEffect, useRef } from "react";
import { Button, Kbd } from "../ui/parts";
import { looks } from "../ui/looks";
import { keysOf } from "./keysOf";
import { screenHelp } from "./screenHelp";

export function KeysHelp({ onClose, path }: { onClose: () => void; path: string }) {
  const help = screenHelp(path);
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog ref={dialog} onClose={onClose} className={looks.modal} aria-labelledby="keys-title">
      <div className={`${looks.modalBox} bg-base-100 max-w-lg`}>
        <h2 id="keys-title" className="mb-2 text-xl">
          {help.title}
        </h2>
        <p className="bg-base-200 mb-3 rounded-lg px-3 py-2">
          <b>For example.</b> {help.example}
        </p>
        <h3 className="mb-1 text-[1.05rem]">Its words</h3>
        <dl className="mb-3 grid gap-x-4 gap-y-0.5 sm:grid-cols-[8rem_1fr]">
          {help.words.map(([word, meaning]) => (
            <div key={word} className="contents">
              <dt className="font-semibold">{word}</dt>
              <dd>{meaning}</dd>
            </div>
          ))}
        </dl>
        <h3 className="mb-1 text-[1.05rem]">Keys of this screen</h3>
        <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
          {keysOf(path).map(([keys, what]) => (
            <div key={what} className="contents">
              <dt className="flex gap-1">
                {keys.map((key) => (
                  <Kbd key={key}>{key}</Kbd>
                ))}
              </dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
        <p className="mt-3">
          <a href="/help/week">How a week goes</a>, two pages to print
        </p>
        <form method="dialog" className="mt-4 text-right">
          <Button type="submit">Close</Button>
        </form>
      </div>
    </dialog>
  );
}
