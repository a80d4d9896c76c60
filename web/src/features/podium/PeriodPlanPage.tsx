import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { duration, longDay, weekday } from "../../app/days";
import { boardQuery } from "../../app/queries";
import { chosenDay } from "../../app/ribbon";
import { yearQuery } from "../../app/queries";
import { useScope } from "../../app/scope";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { warmUpQuery } from "../warmup/warmUp.queries";
import { minutesWords } from "../warmup/warmUp";
import { podiumQuery } from "./podium.queries";

const MINUTES = 8;

/** One period on paper, for whoever stands in: who is in the room, what is opened with, taught and heard, in which minutes. */
export function PeriodPlanPage() {
  const { classId = "" } = useParams();
  const { week } = useScope();
  const year = useQuery(yearQuery);
  const day = year.data && chosenDay(year.data, week);
  const podium = useQuery(podiumQuery(day));
  const warmUp = useQuery(warmUpQuery(classId, week, MINUTES));
  const board = useQuery(boardQuery({ classId }));
  if (podium.isError) return <Failed error={podium.error} again={() => void podium.refetch()} />;
  if (!podium.data || !day) return <Skeleton rows={9} />;
  const c = podium.data.classes.find((one) => one.classId === classId);
  if (!c) return <Empty>This class does not meet on {longDay(day)}.</Empty>;
  const left = Math.max(0, c.minutes - MINUTES);
  return (
    <article className="max-w-[56rem] print:max-w-none">
      <Heading
        title={c.name}
        words={`${longDay(day)} · period ${c.period}, ${c.startsAt}, ${c.minutes} min${c.campus ? ` · ${c.campus}` : ""}`}
      >
        <Button small look="primary" onClick={() => window.print()}>
          Print
        </Button>
      </Heading>
      <ol className="grid gap-5">
        <Step name="Call the roll" minutes={2}>
          <div className="grid gap-x-8 gap-y-2 sm:grid-cols-2 print:grid-cols-3">
            {sectionsOf(board.data?.rows ?? []).map(([section, names]) => (
              <div key={section}>
                <h3 className="small soft font-sans font-normal">
                  {section}, {names.length}
                </h3>
                <p>{names.join(", ")}</p>
              </div>
            ))}
          </div>
        </Step>
        <Step name="Warm up" minutes={MINUTES}>
          <ol className="list-inside list-decimal">
            {warmUp.data?.parts.map((part) => (
              <li key={part.kind}>
                {part.title}, {minutesWords(part.minutes)}
              </li>
            ))}
          </ol>
        </Step>
        <Step name="Play this week’s lines" minutes={Math.ceil(left / 2)}>
          {c.teach.length === 0 && (
            <p>Nothing is set for this week: play what they like best of the last page.</p>
          )}
          <ul>
            {c.teach.map((t) => (
              <li key={t.milestoneId}>
                <b>{t.kind === "LINE" ? `Line ${t.shortName}` : t.shortName}</b> {t.title}
                {t.concertKey && `, concert ${t.concertKey}`}, due {weekday(t.dueOn)}
              </li>
            ))}
          </ul>
        </Step>
        <Step name="Hear" minutes={Math.floor(left / 2)}>
          {c.hear.length === 0 && <p>Everybody set was heard.</p>}
          <ul>
            {c.hear.map((h) => (
              <li key={h.milestoneId}>
                <b>{h.kind === "LINE" ? `Line ${h.shortName}` : h.title}</b>: {counted(h.open, "student")}{" "}
                left, about {duration(h.seconds)}
              </li>
            ))}
          </ul>
          <p className="mt-1">Whoever was not reached is no worse off: not heard is not failed.</p>
        </Step>
      </ol>
      <p className="mt-6 border-t-[1.5px] border-current pt-2">
        A student whose hand, lips or back hurt stops playing; tell the office and the director the same day.
        Parts that jam wait for the director: no force, no pliers. Mouthpieces and reeds are not shared.
      </p>
    </article>
  );
}

function Step({ name, minutes, children }: { name: string; minutes: number; children: React.ReactNode }) {
  return (
    <li className="grid grid-cols-[4.5rem_1fr] gap-x-3">
      <span className="soft">{minutes} min</span>
      <div>
        <h2 className="mb-1 text-[1.15rem]">{name}</h2>
        {children}
      </div>
    </li>
  );
}

type Row = { name: string; instrumentName: string; division: string };

/** Names by section, in the order they stand. */
function sectionsOf(rows: readonly Row[]): [string, string[]][] {
  const sections = new Map<string, string[]>();
  rows.forEach((row) => {
    const name = row.division ? `${row.instrumentName} ${row.division}` : row.instrumentName;
    sections.set(name, [...(sections.get(name) ?? []), row.name]);
  });
  return [...sections];
}
