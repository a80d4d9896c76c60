import { useQuery } from "@tanstack/react-query";
import type { Folder } from "../../api/types";
import { monthName, shortDay } from "../../app/days";
import { yearQuery } from "../../app/queries";
import { BeltStrip } from "../../ui/BeltStrip";
import { ProgressMark } from "../../ui/ProgressMark";
import { measuredStudentQuery } from "./folder.queries";
import { bandsOf, curveOf, marksOf, placeOf, ROWS, tallest } from "./timeLine";

const MARK_HEIGHT = 17;
const CURVE_HEIGHT = 34;

/** The school year of one student: what was played, heard and earned, week by week; breaks are shaded. */
export function TimeLine({ folder }: { folder: Folder }) {
  const year = useQuery(yearQuery);
  const measured = useQuery(measuredStudentQuery(folder.id));
  if (!year.data || year.data.weeks.length === 0) return null;
  const { weeks, today } = year.data;
  const moments = folder.instruments.flatMap((instrument) => instrument.moments);
  const rows = ROWS.map((row) => ({ ...row, marks: marksOf(weeks, moments, row.kind) })).filter(
    (row) => row.marks.length > 0,
  );
  const earned = folder.instruments.flatMap((instrument) => instrument.earned);
  const curve = curveOf(weeks, measured.data ?? []);
  const percent = (place: number) => `${(100 * place) / weeks.length}%`;
  return (
    <div
      role="region"
      aria-label="Time line of the year"
      tabIndex={0}
      className="mb-6 grid grid-cols-[92px_minmax(0,1fr)] gap-y-1 overflow-x-auto"
    >
      <span />
      <div className="small soft relative h-5" aria-hidden>
        {weeks.map(
          (week, i) =>
            (i === 0 || monthName(week.monday) !== monthName(weeks[i - 1]!.monday)) && (
              <span key={week.monday} className="absolute" style={{ left: percent(i) }}>
                {monthName(week.monday)}
              </span>
            ),
        )}
      </div>
      <span className="small soft">plays</span>
      <Lane weeks={weeks} height={20} now={placeOf(weeks, today)}>
        {bandsOf(weeks, folder.seats, today).map((band) => (
          <span
            key={band.name}
            className="bg-base-300 small absolute top-0.5 h-4 overflow-hidden rounded-sm px-1.5 leading-4 whitespace-nowrap"
            style={{ left: percent(band.from), width: percent(Math.max(0.6, band.to - band.from)) }}
          >
            {band.name.toLowerCase()}
          </span>
        ))}
      </Lane>
      {rows.map((row) => (
        <Row key={row.kind} name={row.name}>
          <Lane weeks={weeks} height={MARK_HEIGHT * tallest(row.marks) + 4} now={placeOf(weeks, today)}>
            {row.marks.map((mark) => (
              <span
                key={`${mark.week} ${mark.name}`}
                title={`${mark.name}, ${shortDay(weeks[mark.week]!.monday)}`}
                className="absolute -translate-x-1/2 leading-none"
                style={{ left: percent(mark.week + 0.5), top: 2 + mark.place * MARK_HEIGHT }}
              >
                <ProgressMark state={mark.state} tries={mark.tries} size={11} />
                <span className="sr-only">
                  {mark.name}, week of {shortDay(weeks[mark.week]!.monday)}
                </span>
              </span>
            ))}
          </Lane>
        </Row>
      ))}
      {curve && (
        <Row name={curve.name}>
          <Lane weeks={weeks} height={CURVE_HEIGHT} now={placeOf(weeks, today)}>
            <svg
              className="absolute inset-0 h-full w-full"
              viewBox={`0 0 ${weeks.length} 1`}
              preserveAspectRatio="none"
              aria-hidden
            >
              <polyline
                fill="none"
                stroke="currentColor"
                strokeWidth="2"
                vectorEffect="non-scaling-stroke"
                points={curve.points.map(({ at, height }) => `${at},${1.02 - 0.94 * height}`).join(" ")}
              />
            </svg>
            <b className="small absolute" style={{ left: percent(curve.points.at(-1)!.at + 0.4), top: 0 }}>
              {curve.last}
            </b>
          </Lane>
        </Row>
      )}
      {earned.length > 0 && (
        <Row name="belts">
          <Lane weeks={weeks} height={24} now={placeOf(weeks, today)}>
            {earned.map(({ belt, on }) => (
              <span
                key={belt.id + on}
                title={`${belt.name}, earned ${shortDay(on)}`}
                className="absolute top-0.5"
                style={{ left: percent(placeOf(weeks, on)) }}
              >
                <BeltStrip belt={belt} width={64} />
              </span>
            ))}
          </Lane>
        </Row>
      )}
    </div>
  );
}

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <>
      <span className="small soft pt-0.5">{name}</span>
      {children}
    </>
  );
}

interface LaneProps {
  weeks: readonly { monday: string; schoolDays: number }[];
  height: number;
  now: number;
  children: React.ReactNode;
}

/** A row of the year: a line a week, breaks shaded, today marked. */
function Lane({ weeks, height, now, children }: LaneProps) {
  return (
    <div className="relative" style={{ height }}>
      <div className="absolute inset-0 flex" aria-hidden>
        {weeks.map((week) => (
          <span
            key={week.monday}
            className={`flex-1 border-l border-[var(--hairline)] ${week.schoolDays === 0 ? "bg-base-200" : ""}`}
          />
        ))}
      </div>
      <span
        aria-hidden
        className="absolute inset-y-0 w-0.5 bg-[var(--now)]"
        style={{ left: `${(100 * now) / weeks.length}%` }}
      />
      {children}
    </div>
  );
}
