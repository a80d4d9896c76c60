import { useQuery } from "@tanstack/react-query";
import { useScope } from "../../app/scope";
import { Failed, Skeleton } from "../../ui/parts";
import { lineFactsQuery } from "../library/books.queries";
import { signNames } from "../library/lineForm";
import { Brief } from "./Brief";

/** A line of which the notes are not kept: its facts, and what the director says of it. */
export function FactsOnly({ lineId, director }: { lineId: string; director: boolean }) {
  const { scope } = useScope();
  const facts = useQuery(lineFactsQuery(lineId));
  if (facts.isError) return <Failed error={facts.error} />;
  if (!facts.data) return <Skeleton rows={5} />;
  const line = facts.data;
  const rows: [string, string][] = [
    ["Tempo goal", `♩ = ${line.tempoBpm}`],
    [
      "Measures",
      line.playedMeasures === line.measures
        ? String(line.measures)
        : `${line.measures} printed, ${line.playedMeasures} played`,
    ],
    ["The way through", line.roadmap],
    ["Notes used, at concert pitch", line.notesUsed.replaceAll(" ", ", ")],
    ["Note values introduced", line.valuesIntroduced.join(", ")],
    ["Signs introduced", line.signsIntroduced.map((sign) => signNames[sign] ?? sign).join(", ")],
  ];
  return (
    <div className="grid gap-5">
      <p className="soft max-w-[75ch]">
        Only facts are kept of this line: page, number, key, meter, tempo. Of a published book one holds no
        rights to, that is all one should keep.
      </p>
      <Brief lineId={lineId} instrument={scope.instrument} director={director} />
      <dl className="grid max-w-2xl grid-cols-[14rem_1fr] gap-y-1">
        {rows
          .filter(([, words]) => words)
          .map(([name, words]) => (
            <div key={name} className="contents">
              <dt className="soft">{name}</dt>
              <dd>{words}</dd>
            </div>
          ))}
      </dl>
    </div>
  );
}
