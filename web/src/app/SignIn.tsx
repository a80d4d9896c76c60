import { at } from "../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { post } from "../api/http";
import type { Me } from "../api/types";
import { Button } from "../ui/parts";
import { Field } from "../ui/Field";
import { Wordmark } from "./Wordmark";

interface Values {
  signInName: string;
  password: string;
}

const missing = (values: Values): Partial<Values> => ({
  signInName: values.signInName ? undefined : "Type your sign-in name.",
  password: values.password ? undefined : "Type your password.",
});

export function SignIn() {
  const client = useQueryClient();
  const [errors, setErrors] = useState<Partial<Values>>({});
  const signIn = useMutation({
    mutationFn: (values: Values) => post<Me>(at("/api/session"), values),
    onSuccess: (me) => client.setQueryData(["me"], me),
  });
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const values = {
      signInName: String(form.get("signInName") ?? "").trim(),
      password: String(form.get("password") ?? ""),
    };
    const found = missing(values);
    setErrors(found);
    if (!found.signInName && !found.password) signIn.mutate(values);
  };
  return (
    <main className="grid min-h-screen place-items-center p-5">
      <div className="w-full max-w-[25rem]">
        <Staff />
        <div className="mt-7 mb-1 text-[1.9rem]">
          <Wordmark />
        </div>
        <p className="soft mb-6">Order for whole sections, hear each student, know who passed.</p>
        <form noValidate className="grid gap-4" onSubmit={submit}>
          <Field
            label="Sign-in name"
            autoComplete="username"
            autoFocus
            autoCapitalize="none"
            name="signInName"
            error={errors.signInName}
          />
          <Field
            label="Password"
            type="password"
            autoComplete="current-password"
            name="password"
            error={errors.password}
          />
          {signIn.isError && (
            <p role="alert" className="text-error">
              {signIn.error.message}
            </p>
          )}
          <Button look="primary" type="submit" disabled={signIn.isPending} className="mt-1">
            {signIn.isPending ? "Signing in…" : "Sign in"}
          </Button>
        </form>
      </div>
    </main>
  );
}

/** Five lines and the marks a year is made of. */
function Staff() {
  const heads = [
    { x: 52, y: 34, filled: true },
    { x: 112, y: 28, filled: true },
    { x: 172, y: 22, filled: true },
    { x: 232, y: 28, filled: false },
    { x: 292, y: 16, filled: false },
  ];
  return (
    <svg viewBox="0 0 375 56" className="w-full" aria-hidden="true">
      {[10, 19, 28, 37, 46].map((y) => (
        <line key={y} x1="0" x2="375" y1={y} y2={y} stroke="var(--hairline)" strokeWidth="1.3" />
      ))}
      {heads.map((head) => (
        <ellipse
          key={head.x}
          cx={head.x}
          cy={head.y}
          rx="9"
          ry="6.6"
          transform={`rotate(-22 ${head.x} ${head.y})`}
          fill={head.filled ? "currentColor" : "var(--color-base-100)"}
          stroke="currentColor"
          strokeWidth="2.2"
        />
      ))}
      <path d="M352 6v44M358 6v44" stroke="currentColor" strokeWidth="1.5" />
      <path d="M361 6v44" stroke="currentColor" strokeWidth="4" />
    </svg>
  );
}
