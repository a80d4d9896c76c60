import type { Switches, SwitchView } from "../../api/types";
import { longDay } from "../../app/days";
import { CatchUpTrack } from "./CatchUpTrack";
import { SwitchMeaning } from "./SwitchMeaning";

interface Props {
  views: readonly SwitchView[];
  tracks: Switches["tracks"];
  from: string;
}

/** On paper each student who switches has a page: what comes along, what opens anew, and the track to catch up on. */
export function PrintedSwitches({ views, tracks, from }: Props) {
  return (
    <div aria-hidden className="hidden print:block">
      {views
        .filter((view) => !view.refused)
        .map((view) => (
          <section
            key={`${view.studentId} ${view.toName} ${view.className}`}
            className="break-after-page last:break-after-auto"
          >
            <h2 className="mb-1 text-[1.5rem]">{view.name}</h2>
            <p className="soft mb-3">
              {view.fromName && `${view.fromName} → `}
              {view.toName}, {view.className}
              {from && `, from ${longDay(from)}`}
            </p>
            <SwitchMeaning view={view} />
            <div className="mt-4">
              {tracks
                .filter((track) => track.names.includes(view.name) && track.instrumentName === view.toName)
                .map((track) => (
                  <CatchUpTrack key={track.classId} track={track} />
                ))}
            </div>
          </section>
        ))}
    </div>
  );
}
