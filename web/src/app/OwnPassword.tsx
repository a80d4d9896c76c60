import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { at } from "../api/at";
import { post, Problem, remove } from "../api/http";
import { Field } from "../ui/Field";
import { looks } from "../ui/looks";
import { Button } from "../ui/parts";
import { useToast } from "../ui/toasts";

/** One's own password, and the other places one is signed in at. */
export function OwnPassword({ onClose }: { onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const toast = useToast();
  const [current, setCurrent] = useState("");
  const [password, setPassword] = useState("");
  const change = useMutation({
    mutationFn: () => post<void>(at("/api/session/password"), { current, password }),
    onSuccess: () => {
      toast("Your password is changed; everywhere else you are signed out");
      onClose();
    },
  });
  const elsewhere = useMutation({
    mutationFn: () => remove(at("/api/session/elsewhere")),
    onSuccess: () => {
      toast("You are signed in here alone");
      onClose();
    },
  });
  const refused = change.error instanceof Problem ? change.error : undefined;
  const told = (field: string) => (refused?.field === field ? refused.message : undefined);
  const otherwise =
    elsewhere.error ?? (refused?.field === "current" || refused?.field === "password" ? null : change.error);
  return (
    <dialog ref={dialog} onClose={onClose} className={looks.modal} aria-labelledby="password-title">
      <div className={`${looks.modalBox} bg-base-100 max-w-md`}>
        <h2 id="password-title" className="mb-3 text-xl">
          Your password
        </h2>
        <form
          noValidate
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            change.mutate();
          }}
        >
          <Field
            label="Present password"
            type="password"
            autoComplete="current-password"
            value={current}
            error={told("current")}
            onChange={(e) => setCurrent(e.target.value)}
          />
          <Field
            label="New password"
            type="password"
            autoComplete="new-password"
            hint="a few words of your own are best"
            value={password}
            error={told("password")}
            onChange={(e) => setPassword(e.target.value)}
          />
          {otherwise && (
            <p role="alert" className="text-error">
              {otherwise.message}
            </p>
          )}
          <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
            <Button look="primary" type="submit" disabled={change.isPending}>
              Change it
            </Button>
            <Button look="quiet" onClick={() => elsewhere.mutate()} disabled={elsewhere.isPending}>
              Sign out everywhere else
            </Button>
            <Button onClick={onClose}>Close</Button>
          </div>
        </form>
      </div>
    </dialog>
  );
}
