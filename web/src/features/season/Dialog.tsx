import { useEffect, useId, useRef, type ReactNode } from "react";

/** A dialog over the season; Escape closes it. */
export function Dialog({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      onClose={onClose}
      aria-labelledby={id}
      className="bg-base-100 text-base-content border-base-content m-auto w-full max-w-[34rem] rounded-xl border-[1.5px] p-6 shadow-2xl backdrop:bg-black/35"
    >
      <h2 id={id} className="mb-3 text-[1.5rem]">
        {title}
      </h2>
      {children}
    </dialog>
  );
}
