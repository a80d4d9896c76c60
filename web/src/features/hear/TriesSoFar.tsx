import { useQuery } from "@tanstack/react-query";
import { shortDay } from "../../app/days";
import { meQuery } from "../../app/queries";
import { folderQuery } from "../folder/folder.queries";
import { tryWords } from "../folder/tryWords";

const MOST = 4;

/** What this student did with this milestone before, latest first. */
export function TriesSoFar({
  studentId,
  milestoneId,
  blind,
}: {
  studentId: string;
  milestoneId: string;
  /** What was heard today is the other listener's, who is not to be known before one's own. */
  blind: boolean;
}) {
  const folder = useQuery(folderQuery(studentId));
  const today = useQuery(meQuery).data?.today;
  const tries = folder.data?.instruments
    .flatMap((instrument) => instrument.milestones)
    .filter((m) => m.milestoneId === milestoneId)
    .flatMap((m) => m.tries)
    .filter((t) => !t.corrected && t.outcome !== "UNDONE" && !(blind && t.heardOn === today));
  return (
    <section aria-label="Tries so far" className="mt-5">
      <h3 className="small soft mb-1 font-sans font-normal tracking-normal">Tries so far</h3>
      {!tries && <p className="soft">…</p>}
      {tries?.length === 0 && <p className="soft">None yet on this one.</p>}
      <ol className="grid gap-0.5">
        {tries?.slice(0, MOST).map((t) => (
          <li key={t.id} className="grid grid-cols-[64px_1fr]">
            <span className="soft">{shortDay(t.heardOn)}</span>
            <span>{tryWords(t)}</span>
          </li>
        ))}
      </ol>
      {tries && tries.length > MOST && <p className="small soft">and {tries.length - MOST} before</p>}
    </section>
  );
}
