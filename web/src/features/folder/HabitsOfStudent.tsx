import { useQuery } from "@tanstack/react-query";
import { shortDay } from "../../app/days";
import { habitsOfStudentQuery } from "./folder.queries";
import type { HabitHistory } from "../../api/types";

const words: Record<HabitHistory["looks"][number]["finding"], string> = {
  STILL_THERE: "still there",
  SLIPPING: "slipping",
  LOST: "lost",
  TAKEN_BACK: "taken back",
};

/** Passed habits that were looked at again; none of it counts for or against a pass. */
export function HabitsOfStudent({ studentId }: { studentId: string }) {
  const habits = useQuery(habitsOfStudentQuery(studentId));
  if (!habits.data || habits.data.length === 0) return null;
  return (
    <section aria-label="Habits looked at again" className="mb-6">
      <h2 className="mb-1 text-[1.2rem]">Habits looked at again</h2>
      <ul>
        {habits.data.map((habit) => (
          <li
            key={`${habit.milestoneId} ${habit.instrumentName}`}
            className="flex flex-wrap items-baseline gap-x-3 border-b border-[var(--hairline)] py-1"
          >
            <b title={habit.title}>{habit.shortName}</b>
            <span className="small soft">{habit.instrumentName.toLowerCase()}</span>
            <span className="ml-auto">
              {habit.looks.map((look) => `${words[look.finding]} ${shortDay(look.on)}`).join(", ")}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
