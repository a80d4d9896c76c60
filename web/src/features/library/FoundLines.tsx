import { useQuery } from "@tanstack/react-query";
import type { BookImport } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { looks } from "../../ui/looks";
import { counted } from "../../ui/words";

type Found = BookImport["lines"][number];

/** What each part of a file is used for, by the file's name and the part's id. */
export type PartChoices = Record<string, Record<string, string>>;

interface Props {
  found: BookImport;
  /** Absent once the lines are kept. */
  onChoose?: (file: string, part: string, use: string) => void;
}

/** The lines found in the files: the good ones, the others with their place, and what each part is taken for. */
export function FoundLines({ found, onChoose }: Props) {
  return (
    <section aria-label="Lines found">
      <p role="status" className="mb-2 font-semibold">
        {found.kept ? "Kept" : "Found"}: {found.good} good
        {found.refused > 0 && `, ${found.refused} not taken`}
      </p>
      <table className="w-full">
        <thead>
          <tr className="small soft border-base-content border-b-[1.5px] text-left">
            {["Line", "Title", "Page", "Concert key", "Meter", "Measures", ""].map((head) => (
              <th key={head} scope="col" className="py-1 pr-3 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {found.lines.map((line, i) => (
            <Line key={i} line={line} kept={found.kept} onChoose={onChoose} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Line({ line, kept, onChoose }: { line: Found; kept: boolean; onChoose?: Props["onChoose"] }) {
  const more = line.parts.length > 0 || line.leftOut.length > 0;
  return (
    <>
      <tr className={more ? "align-top" : "border-b border-[var(--hairline)] align-top"}>
        <td className="py-1 pr-3 font-semibold">{line.number || ""}</td>
        {line.problem ? (
          <td colSpan={6} className="py-1 pr-3">
            <b>{line.file}: </b>
            {line.problem}
          </td>
        ) : (
          <>
            <td className="py-1 pr-3">{line.title}</td>
            <td className="soft py-1 pr-3">{line.page}</td>
            <td className="soft py-1 pr-3">{line.concertKey}</td>
            <td className="soft py-1 pr-3">{line.meter}</td>
            <td className="soft py-1 pr-3">{line.measures}</td>
            <td className="soft py-1">{line.replaces && !kept ? "new notes for a line there is" : ""}</td>
          </>
        )}
      </tr>
      {more && (
        <tr className="border-b border-[var(--hairline)] align-top">
          <td />
          <td colSpan={6} className="pb-2">
            {line.parts.length > 0 && <Parts line={line} onChoose={onChoose} />}
            {line.leftOut.length > 0 && (
              <p className="small soft mt-1">
                <b>Not kept:</b> {line.leftOut.join("; ")}.
              </p>
            )}
          </td>
        </tr>
      )}
    </>
  );
}

const divisions = ["", ", first", ", second", ", third", ", fourth"];

function Parts({ line, onChoose }: { line: Found; onChoose?: Props["onChoose"] }) {
  const instruments = useQuery(instrumentsQuery);
  const uses = [
    { code: "everybody", name: "everybody without a part of their own" },
    { code: "nobody", name: "nobody, leave it out" },
    ...(instruments.data ?? []).map(({ code, name }) => ({ code, name })),
  ];
  const named = (use: string) => {
    const [code, division] = use.split("/");
    const name = uses.find((one) => one.code === code)?.name ?? code;
    return `${name}${divisions[Number(division ?? 0)] ?? `, ${division}`}`;
  };
  return (
    <ul className="grid gap-1" aria-label={`Parts of ${line.file}`}>
      {line.parts.map((part) => (
        <li key={part.id} className="grid items-center gap-x-3 sm:grid-cols-[12rem_20rem_1fr]">
          <span>{part.name || `Part ${part.id}`}</span>
          {onChoose ? (
            <select
              aria-label={`${part.name || part.id} is for`}
              className={`${looks.smallSelect} w-full`}
              value={part.use}
              onChange={(event) => onChoose(line.file, part.id, event.target.value)}
            >
              {!uses.some((one) => one.code === part.use) && (
                <option value={part.use}>{named(part.use)}</option>
              )}
              {uses.map((one) => (
                <option key={one.code} value={one.code}>
                  {one.name}
                </option>
              ))}
            </select>
          ) : (
            <span className="soft">{named(part.use)}</span>
          )}
          <span className="small soft">{part.problem ?? counted(part.measures, "measure")}</span>
        </li>
      ))}
    </ul>
  );
}
