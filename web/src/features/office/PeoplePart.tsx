import { queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { at } from "../../api/at";
import { get, remove } from "../../api/http";
import type { Invitation, Person } from "../../api/types";
import { momentWords } from "../../app/days";
import { roleNames } from "../../app/role";
import { Button, Failed, Skeleton } from "../../ui/parts";
import { InviteForm } from "./InviteForm";
import { PersonRow } from "./PersonRow";

const peopleQuery = queryOptions({ queryKey: ["people"], queryFn: () => get<Person[]>(at("/api/people")) });
const invitationsQuery = queryOptions({
  queryKey: ["invitations"],
  queryFn: () => get<Invitation[]>(at("/api/invitations")),
});

/** Who may sign in, as what, and who is invited. */
export function PeoplePart() {
  const people = useQuery(peopleQuery);
  return (
    <div className="grid items-start gap-x-10 gap-y-8 xl:grid-cols-[1fr_24rem]">
      <section aria-label="People">
        {people.isPending && <Skeleton rows={3} />}
        {people.isError && <Failed error={people.error} again={() => void people.refetch()} />}
        <ul>
          {people.data?.map((person) => (
            <PersonRow key={person.id} person={person} />
          ))}
        </ul>
        <Invited />
        <p className="small soft mt-3 max-w-[60ch]">
          Students’ records are seen by these people only; follow your school’s policy on who should.
        </p>
      </section>
      <InviteForm />
    </div>
  );
}

const faultWords: Record<NonNullable<Invitation["fault"]>, string> = {
  USED: "came in",
  WITHDRAWN: "taken back",
  LATE: "not used in time",
};

function Invited() {
  const client = useQueryClient();
  const invited = useQuery(invitationsQuery);
  const withdraw = useMutation({
    mutationFn: (invitationId: string) => remove(at("/api/invitations/{invitationId}", { invitationId })),
    onSuccess: () => client.invalidateQueries({ queryKey: ["invitations"] }),
  });
  const open = invited.data?.filter((one) => one.fault !== "USED") ?? [];
  if (open.length === 0) return null;
  return (
    <section aria-label="Invited" className="mt-5">
      <h2 className="text-[1.1rem]">Invited</h2>
      {withdraw.isError && <Failed error={withdraw.error} />}
      <ul>
        {open.map((one) => (
          <li
            key={one.id}
            className="flex flex-wrap items-center gap-x-4 border-b border-[var(--hairline)] py-1.5"
          >
            <b>{one.displayName}</b>
            <span className="soft grow">
              {roleNames[one.role].toLowerCase()},{" "}
              {one.fault ? faultWords[one.fault] : `link good until ${momentWords(one.goodUntil)}`}
            </span>
            {!one.fault && (
              <Button small onClick={() => withdraw.mutate(one.id)}>
                Take the link of {one.displayName} back
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
