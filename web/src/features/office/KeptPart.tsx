import { at } from "../../api/at";
import { queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { get, put } from "../../api/http";
import type { AuditEntry, Retention } from "../../api/types";
import { SelectField } from "../../ui/Field";
import { Empty, Failed, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { momentWords } from "../../app/days";
import { auditWords } from "./auditWords";
import { counted } from "../../ui/words";

const auditQuery = queryOptions({ queryKey: ["audit"], queryFn: () => get<AuditEntry[]>(at("/api/audit")) });
const retentionQuery = queryOptions({
  queryKey: ["retention"],
  queryFn: () => get<Retention>(at("/api/retention")),
});

/** How long names are kept after somebody left, and who looked at, took out or erased what. */
export function KeptPart() {
  const audit = useQuery(auditQuery);
  return (
    <div className="grid items-start gap-x-10 gap-y-8 xl:grid-cols-[22rem_1fr]">
      <HowLong />
      <section aria-labelledby="looked">
        <h2 id="looked" className="mb-1 text-[1.3rem]">
          Who looked
        </h2>
        {audit.isPending && <Skeleton rows={5} />}
        {audit.isError && <Failed error={audit.error} again={() => void audit.refetch()} />}
        {audit.data?.length === 0 && (
          <Empty>Nobody signed in, read a report of pain or took data out yet.</Empty>
        )}
        <ul>
          {audit.data?.map((entry) => (
            <li
              key={entry.happenedAt + entry.what}
              className="grid grid-cols-[9.5rem_1fr] border-b border-[var(--hairline)] py-1"
            >
              <span className="soft tabular-nums">{momentWords(entry.happenedAt)}</span>
              <span>{auditWords(entry)}</span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

function HowLong() {
  const client = useQueryClient();
  const toast = useToast();
  const retention = useQuery(retentionQuery);
  const keep = useMutation({
    mutationFn: (keepYears: number | undefined) =>
      put<void>(at("/api/retention"), { keepYears } satisfies Retention),
    onSuccess: async (_, years) => {
      toast(years ? `Names go ${years} years after the last seat` : "Names are kept for good");
      await client.invalidateQueries({ queryKey: ["retention"] });
    },
  });
  if (retention.isPending) return <Skeleton rows={2} />;
  if (retention.isError) return <Failed error={retention.error} again={() => void retention.refetch()} />;
  return (
    <section aria-labelledby="how-long">
      <h2 id="how-long" className="mb-2 text-[1.3rem]">
        How long
      </h2>
      <SelectField
        label="Names and words of students who left"
        value={retention.data.keepYears ?? ""}
        disabled={keep.isPending}
        onChange={(event) => keep.mutate(event.target.value ? Number(event.target.value) : undefined)}
      >
        <option value="">are kept for good</option>
        {[1, 2, 3, 4, 5, 7, 10].map((years) => (
          <option key={years} value={years}>
            go {counted(years, "year")} after the last seat
          </option>
        ))}
      </SelectField>
      <p className="small soft mt-2 max-w-[46ch]">
        Then a student is erased: marks stay as numbers under a made-up name; the name, notes, reports of
        pain, variants and measures go and do not come back. Follow your school&rsquo;s rules on keeping
        records. A single student is erased in the folder.
      </p>
      {keep.isError && <Failed error={keep.error} />}
    </section>
  );
}
