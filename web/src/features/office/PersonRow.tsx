import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post, put } from "../../api/http";
import type { ChangedPerson, Person } from "../../api/types";
import { roleNames } from "../../app/role";
import { Field } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

/** Somebody who may sign in, or no longer may. */
export function PersonRow({ person }: { person: Person }) {
  const client = useQueryClient();
  const toast = useToast();
  const [giving, setGiving] = useState(false);
  const [password, setPassword] = useState("");
  const change = useMutation({
    mutationFn: (to: Partial<ChangedPerson>) =>
      put<void>(at("/api/people/{accountId}", { accountId: person.id }), {
        displayName: person.displayName,
        role: person.role,
        disabled: person.disabled,
        ...(person.role === "SECTION_COACH" ? { sections: person.sections } : {}),
        ...to,
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: ["people"] }),
  });
  const give = useMutation({
    mutationFn: () =>
      post<void>(at("/api/people/{accountId}/password", { accountId: person.id }), { password }),
    onSuccess: () => {
      toast(`${person.displayName} signs in with the new password from now on`);
      setGiving(false);
      setPassword("");
    },
  });
  const director = person.role === "DIRECTOR";
  const sees = director || person.role === "ASSISTANT";
  return (
    <li className="grid gap-2 border-b border-[var(--hairline)] py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <b className={person.disabled ? "soft line-through" : undefined}>{person.displayName}</b>
        <span className="soft mr-auto">
          {roleNames[person.role].toLowerCase()},{" "}
          {person.disabled ? "may not sign in any more" : `signs in as ${person.signInName}`}
        </span>
        {person.own ? (
          <span className="soft">that is you</span>
        ) : person.disabled ? (
          <Button small onClick={() => change.mutate({ disabled: false })}>
            Let {person.displayName} in again
          </Button>
        ) : (
          <>
            <Button
              small
              onClick={() =>
                change.mutate({ role: director || !sees ? "ASSISTANT" : "DIRECTOR", sections: undefined })
              }
            >
              Make {director || !sees ? "an assistant" : "a director"}
            </Button>
            <Button small aria-expanded={giving} onClick={() => setGiving(!giving)}>
              New password
            </Button>
            <Button
              small
              onClick={() =>
                change.mutate(
                  { disabled: true },
                  {
                    onSuccess: () =>
                      toast(`${person.displayName} is signed out everywhere`, () =>
                        change.mutate({ disabled: false }),
                      ),
                  },
                )
              }
            >
              Keep out
            </Button>
          </>
        )}
      </div>
      {change.isError && (
        <p role="alert" className="small text-error font-semibold">
          {change.error.message}
        </p>
      )}
      {giving && (
        <form
          noValidate
          className="flex items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            give.mutate();
          }}
        >
          <Field
            label={`New password of ${person.displayName}`}
            type="password"
            autoComplete="new-password"
            value={password}
            error={give.error?.message}
            onChange={(e) => setPassword(e.target.value)}
          />
          <Button look="primary" type="submit" disabled={give.isPending}>
            Give it
          </Button>
        </form>
      )}
    </li>
  );
}
