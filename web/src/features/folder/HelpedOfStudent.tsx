import { useQuery } from "@tanstack/react-query";
import { shortDay } from "../../app/days";
import { helpedStudentQuery } from "./folder.queries";

/** What helped this student against which fault. */
export function HelpedOfStudent({ studentId }: { studentId: string }) {
  const helped = useQuery(helpedStudentQuery(studentId));
  if (!helped.data || helped.data.length === 0) return null;
  return (
    <section aria-labelledby="helped" className="mb-6">
      <h2 id="helped" className="mb-1 text-lg">
        What helped
      </h2>
      <ul>
        {helped.data.map((one) => (
          <li key={one.id} className="grid grid-cols-[64px_1fr] py-0.5">
            <span className="soft">{shortDay(one.helpedOn)}</span>
            <span>
              <b>{one.remedy}</b>, against “{one.sign.toLowerCase()}”
              <span className="small soft"> {one.checkTitle}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
