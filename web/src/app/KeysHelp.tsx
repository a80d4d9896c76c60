import { useEffect, useRef } from "react";
import { Button, Kbd } from "../ui/parts";
import { looks } from "../ui/looks";
import { keysOf } from "./keysOf";

export function KeysHelp({ onClose, path }: { onClose: () => void; path: string }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog ref={dialog} onClose={onClose} className={looks.modal} aria-labelledby="keys-title">
      <div className={`${looks.modalBox} bg-base-100 max-w-md`}>
        <h2 id="keys-title" className="mb-3 text-xl">
          Keys of this screen
        </h2>
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
        <form method="dialog" className="mt-5 text-right">
          <Button type="submit">Close</Button>
        </form>
      </div>
    </dialog>
  );
}
