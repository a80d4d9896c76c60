import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { useNavigate } from "react-router";
import { at } from "../api/at";
import { get, post, Problem } from "../api/http";
import type { Invited, Me } from "../api/types";
import { Field } from "../ui/Field";
import { Button, Skeleton } from "../ui/parts";
import { roleNames } from "./role";
import { Wordmark } from "./Wordmark";

/** The token stands behind the # of the link, so that no server on the way writes it down. */
const tokenNow = () => window.location.hash.slice(1);

/** Whoever has a one-time link chooses a name and a password here. */
export function InvitationPage() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [token] = useState(tokenNow);
  const invited = useQuery({
    queryKey: ["invitation", token],
    queryFn: async () => {
      // Brings the token of the page, signed in or not.
      await get<Me>(at("/api/session")).catch(() => undefined);
      return post<Invited>(at("/api/invitations/look"), { token });
    },
    retry: false,
    staleTime: Infinity,
  });
  const take = useMutation({
    mutationFn: (values: { signInName: string; password: string }) =>
      post<void>(at("/api/invitations/take"), { token, ...values }),
    onSuccess: () => {
      client.clear();
      void navigate("/podium", { replace: true });
    },
  });
  const told = (field: string) =>
    take.error instanceof Problem && take.error.field === field ? take.error.message : undefined;
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    take.mutate({
      signInName: String(form.get("signInName") ?? ""),
      password: String(form.get("password") ?? ""),
    });
  };
  return (
    <main className="grid min-h-screen place-items-center p-5">
      <div className="w-full max-w-[25rem]">
        <div className="mb-5 text-[1.9rem]">
          <Wordmark />
        </div>
        {invited.isPending && <Skeleton rows={3} />}
        {invited.isError && (
          <>
            <h1 className="mb-2 text-xl">This link does not open</h1>
            <p role="alert">{invited.error.message}</p>
          </>
        )}
        {invited.data && (
          <form noValidate className="grid gap-4" onSubmit={submit}>
            <h1 className="text-xl">Welcome, {invited.data.displayName}</h1>
            <p className="soft">
              {invited.data.program} invites you as {roleNames[invited.data.role].toLowerCase()}. Choose how
              you sign in from now on; this link is good once.
            </p>
            <Field
              label="Sign-in name"
              name="signInName"
              autoComplete="username"
              autoCapitalize="none"
              autoFocus
              error={told("signInName")}
            />
            <Field
              label="Password"
              type="password"
              name="password"
              autoComplete="new-password"
              hint="ten letters at least; a few words are best"
              error={told("password")}
            />
            {take.isError && !told("signInName") && !told("password") && (
              <p role="alert" className="text-error">
                {take.error.message}
              </p>
            )}
            <Button look="primary" type="submit" disabled={take.isPending}>
              Come in
            </Button>
          </form>
        )}
      </div>
    </main>
  );
}
