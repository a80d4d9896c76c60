import { at } from "../../api/at";
import { Download } from "lucide-react";
import { useState } from "react";

import { longDay } from "../../app/days";
import { useScopeName } from "../../app/useScopeName";
import { MarkLegend } from "../../ui/MarkLegend";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { filtered, type BoardFilter } from "./boardFilter";
import { BoardFilters } from "./BoardFilters";
import { BoardTable } from "./BoardTable";
import { RosterTabs } from "./RosterTabs";
import { SectionFaults } from "./SectionFaults";
import { useBoard } from "./useBoard";
import { looks } from "../../ui/looks";

/** Who passed what: students of the sections chosen against what is set for them. */
export function BoardPage() {
  const { board, scope, on, needsInstrument } = useBoard();
  const name = useScopeName();
  const [filter, setFilter] = useState<BoardFilter>({});
  return (
    <>
      <Heading
        title={capital(name)}
        words={
          board.data &&
          `${board.data.rows.length} students, ${board.data.columns.length} milestones${on ? `, as of ${longDay(on)}` : ""}`
        }
      >
        <RosterTabs />
        <a
          className={`${looks.button} h-[34px] min-h-0 px-3 font-semibold`}
          href={at("/api/board.csv", {}, { ...scope, on })}
          download
        >
          <Download size={16} aria-hidden /> CSV
        </a>
      </Heading>
      {needsInstrument && <Empty>Choose an instrument at the left to see it in every class.</Empty>}
      {board.isLoading && <Skeleton rows={10} />}
      {board.isError && <Failed error={board.error} again={() => void board.refetch()} />}
      {board.data && board.data.rows.length === 0 && (
        <Empty>Nobody sits here yet. Import a roster in Office, and the section appears.</Empty>
      )}
      {board.data && board.data.rows.length > 0 && (
        <>
          <BoardFilters filter={filter} belts={board.data.belts} onChange={setFilter} />
          <BoardTable board={filtered(board.data, filter)} />
          <div className="mt-4">
            <MarkLegend />
          </div>
          <SectionFaults scope={scope} />
        </>
      )}
    </>
  );
}

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
