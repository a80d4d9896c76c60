import { useEffect, useRef } from "react";
import { looks } from "../ui/looks";
import { Button } from "../ui/parts";
import { agreeing, counted } from "../ui/words";

interface Props {
  name: string;
  count: number;
  onLeave: () => void;
  onClose: () => void;
}

/** Marks wait to be sent: they stay for whoever made them, and nobody leaves without knowing. */
export function SignOutWaiting({ name, count, onLeave, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog ref={dialog} onClose={onClose} className={looks.modal} aria-labelledby="sign-out-title">
      <div className={`${looks.modalBox} bg-base-100 max-w-md`}>
        <h2 id="sign-out-title" className="mb-2 text-xl">
          {counted(count, "mark")} {agreeing(count, "waits", "wait")} to be sent
        </h2>
        <p className="mb-4">
          Signed out, {agreeing(count, "it stays", "they stay")} on this device until {name} signs in here
          again; nobody else can send {agreeing(count, "it", "them")}.
        </p>
        <div className="flex flex-wrap gap-2">
          <Button look="primary" onClick={onClose}>
            Stay signed in
          </Button>
          <Button onClick={onLeave}>Sign out all the same</Button>
        </div>
      </div>
    </dialog>
  );
}
