import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { shortDay } from "../../app/days";
import { scopeSearch, useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { MarkLegend } from "../../ui/MarkLegend";
import { Chip, Empty, Failed, Skeleton } from "../../ui/parts";
import { KeptFits } from "../fit/KeptFits";
import { PainReports } from "../wellbeing/PainReports";
import { ChangeStudent } from "./ChangeStudent";
import { EraseStudent } from "./EraseStudent";
import { FolderMilestones } from "./FolderMilestones";
import { folderQuery } from "./folder.queries";
import { HabitsOfStudent } from "./HabitsOfStudent";
import { HelpedOfStudent } from "./HelpedOfStudent";
import { MeasuredOfStudent } from "./MeasuredOfStudent";
import { LeaveClass } from "./LeaveClass";
import { SwitchedOn } from "./SwitchedOn";
import { TimeLine } from "./TimeLine";
import { VariantsOfStudent } from "./VariantsOfStudent";
import { WhatRecurs } from "./WhatRecurs";
import { looks } from "../../ui/looks";

/** One student: every class and instrument, every milestone, every try. */
export function FolderPage({ director }: { director: boolean }) {
  const { studentId = "" } = useParams();
  const folder = useQuery(folderQuery(studentId));
  const { search } = useScope();
  if (folder.isError) return <Failed error={folder.error} again={() => void folder.refetch()} />;
  if (!folder.data) return <Skeleton rows={9} />;
  const { name, seats, instruments } = folder.data;
  return (
    <>
      <div className="mb-4">
        <h1 className="mb-2 text-[2.2rem]">{name}</h1>
        <ul className="flex flex-wrap gap-2" aria-label="Seats">
          {seats.map((seat) => (
            <li key={seat.classId + seat.startsOn}>
              <Chip className={seat.endsOn ? "soft border-dashed" : ""}>
                <b>{seat.className}</b> {seat.instrumentName.toLowerCase()}
                {seat.division && ` ${seat.division}`}
                <span className="small soft">
                  {seat.endsOn
                    ? `${shortDay(seat.startsOn)} to ${shortDay(seat.endsOn)}`
                    : `since ${shortDay(seat.startsOn)}`}
                </span>
              </Chip>
            </li>
          ))}
        </ul>
        {director && (
          <div className="no-print flex flex-wrap items-start gap-x-4">
            <ChangeStudent studentId={studentId} />
            <LeaveClass studentId={studentId} name={name} seats={seats} />
            {seats.length > 0 && (
              <Link
                className={`${looks.smallQuiet} mt-1 -ml-3 font-semibold`}
                to={{ pathname: "/roster/switch", search: `${scopeSearch(search, {})}&student=${studentId}` }}
              >
                Switch instrument…
              </Link>
            )}
            <Link
              className={`${looks.smallQuiet} mt-1 -ml-3 font-semibold`}
              to={{ pathname: `/roster/students/${studentId}/placing`, search: scopeSearch(search, {}) }}
            >
              Placing…
            </Link>
          </div>
        )}
      </div>
      <TimeLine folder={folder.data} />
      {director && <SwitchedOn studentId={studentId} switches={folder.data.switches} />}
      <div className="no-print">
        <PainReports studentId={studentId} />
      </div>
      <VariantsOfStudent studentId={studentId} />
      <div className="grid gap-x-10 lg:grid-cols-2">
        <WhatRecurs recurring={folder.data.recurring} />
        <HabitsOfStudent studentId={studentId} />
        <HelpedOfStudent studentId={studentId} />
        <MeasuredOfStudent studentId={studentId} />
        <div className="mb-6">
          <KeptFits studentId={studentId} name={name} />
          <Link
            className={`${looks.smallButton} no-print mt-2 font-semibold`}
            to={{ pathname: "/roster/fit", search: `${scopeSearch(search, {})}&student=${studentId}` }}
          >
            Measure a fit
          </Link>
        </div>
      </div>
      {instruments.length === 0 && <Empty>No seat yet, so nothing is set.</Empty>}
      {instruments.map((instrument) => (
        <section
          key={instrument.instrument}
          aria-label={instrument.instrumentName}
          className="border-base-content mb-8 border-t-[1.5px] pt-3"
        >
          <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
            <h2 className="text-[1.35rem]">{instrument.instrumentName}</h2>
            <span className="flex items-center gap-2">
              <BeltStrip belt={instrument.wornBelt} />
              <span className="small soft">
                {instrument.wornBelt ? instrument.wornBelt.name : "no belt yet"}
              </span>
            </span>
            {instrument.nextBelt && (
              <span>
                For <b>{instrument.nextBelt.name}</b>: {instrument.missing.join(", ")}
              </span>
            )}
            <span className="small soft ml-auto">
              {instrument.passed} passed · {instrument.open} open
            </span>
          </div>
          {instrument.milestones.length === 0 ? (
            <Empty>Nothing set or heard on this instrument yet.</Empty>
          ) : (
            <FolderMilestones studentId={studentId} on={instrument} />
          )}
        </section>
      ))}
      <MarkLegend />
      {director && (
        <div className="no-print mt-8">
          <EraseStudent studentId={studentId} name={name} />
        </div>
      )}
    </>
  );
}
