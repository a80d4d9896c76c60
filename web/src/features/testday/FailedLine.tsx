import { useQuery } from "@tanstack/react-query";
import type { TestResults } from "../../api/types";
import { useScope } from "../../app/scope";
import { lineNotesQuery } from "../line/line.queries";
import { Notation } from "../line/Notation";
import { failedBrackets } from "./resultWords";

/** The measures where it failed, bracketed under the line as the section reads it; nothing where only facts are kept. */
export function FailedLine({ told }: { told: TestResults }) {
  const { scope } = useScope();
  const notes = useQuery({
    ...lineNotesQuery(told.lineId ?? "", scope.instrument ?? "", scope.classId, {
      division: scope.division,
    }),
    enabled: Boolean(told.lineId && scope.instrument),
  });
  const brackets = notes.data ? failedBrackets(told.failed, notes.data.analysis.measures) : [];
  if (!notes.data || brackets.length === 0) return null;
  return (
    <div className="hairline mt-2 mb-6 max-h-56 overflow-y-auto rounded-[10px] border-[1.5px] px-2 pb-6">
      <Notation musicXml={notes.data.musicXml} label="Where it failed" brackets={brackets} />
    </div>
  );
}
