import { useQuery } from "@tanstack/react-query";
import { shortDay } from "../../app/days";
import { measuredStudentQuery } from "./folder.queries";

/** What this student reached over the weeks: each amount on its day, the best in bold. */
export function MeasuredOfStudent({ studentId }: { studentId: string }) {
  const measured = useQuery(measuredStudentQuery(studentId));
  if (!measured.data || measured.data.length === 0) return null;
  return (
    <section aria-labelledby="measured" className="mb-6">
      <h2 id="measured" className="mb-1 text-lg">
        Measured
      </h2>
      <ul>
        {measured.data.map((one) => (
          <li key={`${one.milestoneId} ${one.instrumentName}`} className="py-0.5">
            {one.name}, {one.instrumentName.toLowerCase()}: <b>{`${one.best} ${one.unit}`}</b>
            <span className="soft">
              {" "}
              {one.taken.map((taken) => `${shortDay(taken.on)} ${taken.value}`).join(" · ")}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
