import { useQuery } from "@tanstack/react-query";
import { longDay } from "../../app/days";
import { meQuery, yearQuery } from "../../app/queries";
import { chosenDay } from "../../app/ribbon";
import { useScope } from "../../app/scope";
import { counted } from "../../ui/words";
import { page } from "../../app/page";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { podiumQuery } from "./podium.queries";
import { guideQuery } from "../start/start.queries";
import { LookAround } from "../start/LookAround";
import { LostDay } from "./LostDay";
import { PodiumColumn } from "./PodiumColumn";

const Guide = page(async () => (await import("../start/Guide")).Guide);

/** Today's classes in the order of the day. */
export function PodiumPage() {
  const year = useQuery(yearQuery);
  const { week, choose } = useScope();
  const day = year.data && chosenDay(year.data, week);
  const podium = useQuery(podiumQuery(day));
  const me = useQuery(meQuery);
  const director = me.data?.role === "DIRECTOR";
  const guide = useQuery({ ...guideQuery, enabled: director });
  if (podium.isError) return <Failed error={podium.error} again={() => void podium.refetch()} />;
  if (!podium.data || !day) return <Skeleton rows={9} />;
  const { classes, rotation, closedFor, nextDay } = podium.data;
  const guiding = director && guide.data && !guide.data.over;
  const campuses = [...new Set(classes.map((c) => c.campus).filter(Boolean))].join(" and ");
  return (
    <>
      <Heading
        title={longDay(day)}
        words={[
          rotation && `${rotation}-day`,
          campuses,
          classes.length > 0 && counted(classes.length, "class", "classes"),
        ]
          .filter(Boolean)
          .join(" · ")}
      >
        {director && closedFor === undefined && classes.length > 0 && <LostDay day={day} />}
      </Heading>
      {classes.length === 0 && (
        <Empty>
          {guiding && guide.data.steps.some((step) => step.step === "CLASSES" && step.state !== "DONE")
            ? "No class meets on this day: say below which classes there are and when they meet."
            : `No class meets on this day${closedFor ? `: ${closedFor}` : ""}.`}
          {nextDay && (
            <>
              {" "}
              The next is{" "}
              <button type="button" className="underline" onClick={() => choose({ week: nextDay })}>
                {longDay(nextDay)}
              </button>
              .
            </>
          )}
        </Empty>
      )}
      {guiding && (
        <div className="mb-8">
          <Guide guide={guide.data} />
          <LookAround />
        </div>
      )}
      <div className="grid gap-x-0 gap-y-6 sm:grid-cols-2 xl:grid-cols-4">
        {classes.map((c, i) => (
          <PodiumColumn key={c.classId} podiumClass={c} day={day} number={i + 1} />
        ))}
      </div>
    </>
  );
}
