import { useQuery } from "@tanstack/react-query";
import { longDay } from "../../app/days";
import { yearQuery } from "../../app/queries";
import { chosenDay } from "../../app/ribbon";
import { useScope } from "../../app/scope";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { podiumQuery } from "./podium.queries";
import { PodiumColumn } from "./PodiumColumn";

/** Today's classes in the order of the day. */
export function PodiumPage() {
  const year = useQuery(yearQuery);
  const { week, choose } = useScope();
  const day = year.data && chosenDay(year.data, week);
  const podium = useQuery(podiumQuery(day));
  if (podium.isError) return <Failed error={podium.error} again={() => void podium.refetch()} />;
  if (!podium.data || !day) return <Skeleton rows={9} />;
  const { classes, rotation, closedFor, nextDay } = podium.data;
  const campuses = [...new Set(classes.map((c) => c.campus).filter(Boolean))].join(" and ");
  return (
    <>
      <Heading
        title={longDay(day)}
        words={[rotation && `${rotation}-day`, campuses, classes.length > 0 && `${classes.length} classes`]
          .filter(Boolean)
          .join(" · ")}
      />
      {classes.length === 0 && (
        <Empty>
          No class meets on this day{closedFor ? `: ${closedFor}` : ""}.
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
      <div className="grid gap-x-0 gap-y-6 sm:grid-cols-2 xl:grid-cols-4">
        {classes.map((c) => (
          <PodiumColumn key={c.classId} podiumClass={c} day={day} />
        ))}
      </div>
    </>
  );
}
