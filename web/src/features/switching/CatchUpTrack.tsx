import { shortDay, span } from "../../app/days";
import type { Switches } from "../../api/types";

type Track = Switches["tracks"][number];

/** What a section was set before somebody comes to it, week by week from that day. */
export function CatchUpTrack({ track }: { track: Track }) {
  return (
    <section aria-label={`Catch-up track, ${track.instrumentName}`}>
      <h3 className="display text-[1.06rem] font-bold">
        {track.instrumentName}, {track.className}{" "}
        <span className="small soft font-normal">for {track.names.join(", ")}</span>
      </h3>
      {track.weeks.length === 0 ? (
        <p className="soft">Nothing to catch up on.</p>
      ) : (
        <div
          className="mt-1 overflow-x-auto pb-2"
          tabIndex={0}
          role="region"
          aria-label={`Weeks, ${track.instrumentName}`}
        >
          <ol className="flex gap-0 print:flex-wrap">
            {track.weeks.map((week) => (
              <li
                key={week.dueOn}
                className="hairline w-36 shrink-0 border-l-[1.5px] px-2 last:border-r-[1.5px]"
              >
                <span className="small soft block" title={`due ${shortDay(week.dueOn)}`}>
                  {span(week.setOn, week.dueOn)}
                </span>
                {week.milestones.map((one) => (
                  <b key={one.milestoneId} className="block truncate leading-snug" title={one.title}>
                    {one.shortName}
                  </b>
                ))}
              </li>
            ))}
          </ol>
        </div>
      )}
      {track.withoutWeek.length > 0 && (
        <p className="text-error">
          The year has no week left for {track.withoutWeek.map((one) => one.shortName).join(", ")}.
        </p>
      )}
    </section>
  );
}
