import { at } from "../../api/at";
import { queryOptions, useQuery } from "@tanstack/react-query";
import { Download } from "lucide-react";
import { get } from "../../api/http";
import type { TakenFile } from "../../api/types";
import { looks } from "../../ui/looks";
import { momentWords } from "../../app/days";

const takenQuery = queryOptions({
  queryKey: ["roster", "taken"],
  queryFn: () => get<TakenFile[]>(at("/api/roster-import")),
});

const example = [
  ["name", "class", "instrument", "division", "start date"],
  ["Ida Penn", "Beginning Winds", "clarinet", "", ""],
  ["Orr, Hal", "Beginning Winds", "Bb trumpet", "", "2026-10-01"],
  ["Zoë Marsh", "Chamber Strings", "violin", "second", ""],
];

/** What a roster file looks like, the present roster as such a file, and which files were taken before. */
export function RosterHelp() {
  const taken = useQuery(takenQuery);
  return (
    <div className="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <section aria-labelledby="roster-example">
        <h2 id="roster-example" className="mb-2 text-lg">
          What it looks like
        </h2>
        <table className="w-full">
          <tbody>
            {example.map((cells, i) => (
              <tr
                key={cells[0]}
                className={
                  i === 0
                    ? "small soft border-base-content border-b-[1.5px]"
                    : "border-b border-[var(--hairline)]"
                }
              >
                {cells.map((cell, c) => (
                  <td key={c} className="py-1 pr-3">
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <p className="small soft mt-2 max-w-[60ch]">
          Comma, semicolon or tab separated, columns in any order. The same name in two classes is one student
          in two classes; two students of one name in one class need a student number each. Taking a file
          twice changes nothing.
        </p>
        <a
          className={`${looks.smallButton} mt-3 font-semibold`}
          href={at("/api/roster-import/roster.csv")}
          download
        >
          <Download size={15} aria-hidden /> The present roster as such a file
        </a>
      </section>
      <section aria-labelledby="rosters-taken">
        <h2 id="rosters-taken" className="mb-2 text-lg">
          Taken before
        </h2>
        {taken.isError && <p className="soft">The list of files cannot be read at the moment.</p>}
        {taken.data?.length === 0 && <p className="soft">No file was taken yet.</p>}
        <ul>
          {taken.data?.map((file) => (
            <li key={file.takenAt} className="border-b border-[var(--hairline)] py-1.5">
              <span className="font-semibold">{file.fileName}</span>
              <span className="small soft block">
                {momentWords(file.takenAt)} by {file.takenBy}: {file.taken} taken, {file.unchanged} unchanged
                {file.refused > 0 && `, ${file.refused} refused`}
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
