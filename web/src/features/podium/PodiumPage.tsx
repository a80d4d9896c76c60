import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { longDay } from "../../app/days";
import { meQuery, yearQuery } from "../../app/queries";
import { chosenDay } from "../../app/ribbon";
import { useSeesEverybody } from "../../app/role";
import { scopeSearch, useScope } from "../../app/scope";
import { page } from "../../app/page";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { podiumQuery } from "./podium.queries";
import { guideQuery } from "../start/start.queries";
import { LookAround } from "../start/LookAround";
import { LostDay } from "./LostDay";
import { FoldedClass } from "./FoldedClass";
import { OpenClass } from "./OpenClass";

const Guide = page(async () => (await import("../start/Guide")).Guide);

/** Today's classes in the order of the day. */
export function PodiumPage() {
  const year = useQuery(yearQuery);
  const { week, choose, search } = useScope();
  const day = year.data && chosenDay(year.data, week);
  const podium = useQuery(podiumQuery(day));
  const me = useQuery(meQuery);
  const everybody = useSeesEverybody();
  /** Opened by hand, until the bell or another day: then the next class comes up. */
  const [opened, setOpened] = useState<{ classId: string; until: string }>();
  const director = me.data?.role === "DIRECTOR";
  const guide = useQuery({ ...guideQuery, enabled: director });
  if (podium.isError) return <Failed error={podium.error} again={() => void podium.refetch()} />;
  if (!podium.data || !day) return <Skeleton rows={9} />;
  const { classes, rotation, closedFor, nextDay, turnedTo, minute } = podium.data;
  const open =
    classes.find((c) => c.classId === opened?.classId && opened.until === `${day} ${turnedTo}`) ??
    classes.find((c) => c.classId === turnedTo) ??
    classes[0];
  const guiding = director && guide.data && !guide.data.over;
  const campuses = [...new Set(classes.map((c) => c.campus).filter(Boolean))].join(" and ");
  return (
    <>
      {!open && <Heading title={longDay(day)} words={rotation && `${rotation}-day`}></Heading>}
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
      {open && (
        <div className="grid gap-x-6 gap-y-6 lg:grid-cols-[minmax(0,1fr)_12.5rem]">
          <OpenClass
            podiumClass={open}
            day={day}
            minute={open.classId === podium.data.turnedTo ? minute : undefined}
            mayDecide={everybody}
          />
          <nav
            aria-label="Other classes of the day"
            className="lg:border-l lg:border-[var(--hairline)] lg:pl-4"
          >
            <h2 className="text-[1.05rem]">Also today</h2>
            <p className="small soft">
              {[rotation && `${rotation}-day`, campuses].filter(Boolean).join(" · ")}
            </p>
            <ul>
              {classes
                .filter((c) => c !== open)
                .map((c) => (
                  <FoldedClass
                    key={c.classId}
                    podiumClass={c}
                    onOpen={() => setOpened({ classId: c.classId, until: `${day} ${turnedTo}` })}
                  />
                ))}
            </ul>
            {minute !== undefined && <p className="small soft mt-2">The next class comes up at the bell.</p>}
            <Link
              className="small mt-2 block"
              to={{
                pathname: `/podium/plan/${open.classId}`,
                search: scopeSearch(search, { class: open.classId }),
              }}
            >
              Plan for whoever stands in
            </Link>
            {director && closedFor === undefined && <LostDay day={day} />}
          </nav>
        </div>
      )}
    </>
  );
}
