import { useQuery } from "@tanstack/react-query";
import { longDay } from "../../app/days";
import type { Folder, SwitchView } from "../../api/types";
import { handSentence } from "../switching/switchRows";
import { switchesQuery } from "../switching/switches.queries";

type Switch = Folder["switches"][number];

interface Props {
  studentId: string;
  switches: Folder["switches"];
}

/** What came along when a student changed instrument, and what is still open. */
export function SwitchedOn({ studentId, switches }: Props) {
  return switches.map((one) => <OneSwitch key={one.classId + one.on} studentId={studentId} change={one} />);
}

function OneSwitch({ studentId, change }: { studentId: string; change: Switch }) {
  const told = useQuery(
    switchesQuery({
      from: change.on,
      catchUp: false,
      students: [{ studentId, classId: change.classId, instrument: change.to, division: change.division }],
    }),
  );
  const view = told.data?.students[0];
  if (!view || view.refused) return null;
  return (
    <section aria-label={`Switched on ${longDay(change.on)}`} className="mb-6">
      <h2 className="mb-1 text-[1.2rem]">
        Switched on {longDay(change.on)}{" "}
        <span className="small soft font-normal">
          {change.fromName} → {change.toName}, {change.className}
        </span>
      </h2>
      <p>
        <b>Came along:</b> {names(view.counts) || "nothing instrument-free was passed before"}.{" "}
        {handSentence(view)}
      </p>
      <p>
        <b>Still open on {view.toName.toLowerCase()}:</b>{" "}
        {names(view.opensAnew) || "nothing that this section was set"}.
      </p>
    </section>
  );
}

const names = (of: SwitchView["counts"] | SwitchView["opensAnew"]) =>
  of.map((one) => one.shortName).join(", ");
