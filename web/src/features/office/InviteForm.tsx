import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { post, Problem } from "../../api/http";
import type { MadeInvitation, NewInvitation, Role, ScopeRequest } from "../../api/types";
import { momentWords } from "../../app/days";
import { classesQuery } from "../../app/queries";
import { roleNames } from "../../app/role";
import { looks } from "../../ui/looks";
import { Field, SelectField } from "../../ui/Field";
import { Band, Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { SectionPick } from "./SectionPick";

const linkOf = (token: string) => `${window.location.origin}/invitation#${token}`;

/** Somebody is invited by a link that is good once; the link is shown this once. */
export function InviteForm() {
  const client = useQueryClient();
  const toast = useToast();
  const classes = useQuery(classesQuery);
  const [name, setName] = useState("");
  const [role, setRole] = useState<Role>("ASSISTANT");
  const [sections, setSections] = useState<ScopeRequest[]>([]);
  const invite = useMutation({
    mutationFn: () =>
      post<MadeInvitation>(at("/api/invitations"), {
        displayName: name,
        role,
        ...(role === "SECTION_COACH" ? { sections } : {}),
      } satisfies NewInvitation),
    onSuccess: () => client.invalidateQueries({ queryKey: ["invitations"] }),
  });
  const refused = invite.error instanceof Problem ? invite.error : undefined;
  const made = invite.data;
  return (
    <form
      noValidate
      className="grid gap-3"
      aria-label="Invite somebody"
      onSubmit={(event) => {
        event.preventDefault();
        invite.mutate();
      }}
    >
      <h2 className="text-[1.3rem]">Invite somebody</h2>
      <Field
        label="Name"
        value={name}
        error={refused?.field === "displayName" ? refused.message : undefined}
        onChange={(e) => setName(e.target.value)}
      />
      <SelectField
        label="As"
        value={role}
        hint={roleHints[role]}
        onChange={(e) => setRole(e.target.value as Role)}
      >
        {Object.entries(roleNames).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </SelectField>
      {role === "SECTION_COACH" && (
        <SectionPick classes={classes.data ?? []} chosen={sections} onChoose={setSections} />
      )}
      {invite.isError && refused?.field !== "displayName" && (
        <p role="alert" className="text-error">
          {invite.error.message}
        </p>
      )}
      <Button look="primary" type="submit" disabled={invite.isPending}>
        Make a link
      </Button>
      {made && (
        <Band label="The link">
          <div className="grid min-w-0 grow gap-2" role="status">
            <p>
              Give this link to {name}, and to nobody else. It is good once, until{" "}
              {momentWords(made.goodUntil)}, and is not shown again.
            </p>
            <input
              readOnly
              aria-label="Link"
              className={`${looks.smallInput} w-full`}
              value={linkOf(made.token)}
              onFocus={(e) => e.target.select()}
            />
          </div>
          <Button
            small
            onClick={() => {
              void navigator.clipboard?.writeText(linkOf(made.token)).then(() => toast("The link is copied"));
            }}
          >
            Copy
          </Button>
          <Button
            small
            look="quiet"
            onClick={() => {
              invite.reset();
              setName("");
              setSections([]);
            }}
          >
            Done
          </Button>
        </Band>
      )}
    </form>
  );
}

const roleHints: Record<Role, string> = {
  DIRECTOR: "everything: sets up, imports, invites, orders, hears",
  ASSISTANT: "orders, edits the library, hears, sees everybody",
  SECTION_COACH: "sees and hears own sections; no pain reports, no grades",
  SUBSTITUTE_TEACHER: "sees the classes of the day and hears; what they record is marked so",
};
