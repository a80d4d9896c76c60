import { useQuery } from "@tanstack/react-query";
import { firstNotesQuery } from "./checks.queries";

/** The notes a check of first notes teaches: those the programme's own book begins with. */
export function FirstNotes({ instrument }: { instrument?: string }) {
  const first = useQuery(firstNotesQuery(instrument));
  if (!first.data || first.data.notes.length === 0) return null;
  return (
    <section aria-label="First notes" className="mt-6">
      <h2 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">
        The notes {first.data.book} begins with
      </h2>
      <ol className="flex flex-wrap gap-x-7 gap-y-2">
        {first.data.notes.map((one) => (
          <li key={one.note}>
            <b className="text-[1.3rem]">{one.note}</b>{" "}
            {one.fingering && <span className="soft">{one.fingering}</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}
