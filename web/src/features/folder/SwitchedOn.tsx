import { useQuery } from "@tanstack/react-query";
import { longDay } from "../../app/days";
import type { Folder, SwitchView } from "../../api/types";
import { handSentence } from "../switching/switchRows";
import { switchesQuery } from "../switching/switches.queries";
import { switchesOf, type SwitchOf } from "./switchesOf";

interface Props {
  studentId: string;
  seats: Folder["seats"];
}

/** What came along when a student changed instrument, and what opened anew. */
export function SwitchedOn({ studentId, seats }: Props) {
  return switchesOf(seats).map((one) => (
    <OneSwitch key={one.after.classId + one.after.startsOn} studentId={studentId} change={one} />
  ));
}

function OneSwitch({ studentId, change }: { studentId: string; change: SwitchOf }) {
  const { before, after } = change;
  const told = useQuery(
    switchesQuery({
      from: after.startsOn,
      catchUp: false,
      students: [
        { studentId, classId: after.classId, instrument: after.instrument, division: after.division },
      ],
    }),
  );
  const view = told.data?.students[0];
  if (!view || view.refused) return null;
  return (
    <section aria-label={`Switched on ${longDay(after.startsOn)}`} className="mb-6">
      <h2 className="mb-1 text-[1.2rem]">
        Switched on {longDay(after.startsOn)}{" "}
        <span className="small soft font-normal">
          {before.instrumentName} → {after.instrumentName}, {after.className}
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
