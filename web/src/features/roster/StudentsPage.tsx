import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { instrumentsQuery, studentsQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Field } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { StudentForm } from "./StudentForm";
import { RosterTabs } from "./RosterTabs";

/** Everybody on the roster, in every class. */
export function StudentsPage({ director = false }: { director?: boolean }) {
  const students = useQuery(studentsQuery);
  const instruments = useQuery(instrumentsQuery);
  const { search } = useScope();
  const [adding, setAdding] = useState(false);
  const [sought, setSought] = useState("");
  const names = new Map(instruments.data?.map((i) => [i.code, i.name]));
  const found =
    students.data?.filter((s) => s.name.toLowerCase().includes(sought.trim().toLowerCase())) ?? [];
  const inTwo = students.data?.filter((s) => s.seats.length > 1).length ?? 0;
  return (
    <>
      <Heading
        title="All students"
        words={students.data && `${students.data.length} on the roster, ${inTwo} in two classes`}
      >
        {director && (
          <Button small onClick={() => setAdding(true)}>
            Add a student
          </Button>
        )}
        <RosterTabs />
      </Heading>
      {adding && <StudentForm onDone={() => setAdding(false)} />}
      {students.isLoading && <Skeleton rows={10} />}
      {students.isError && <Failed error={students.error} again={() => void students.refetch()} />}
      {students.data?.length === 0 && (
        <Empty>The roster is empty. Bring a CSV in at Office, or add students one by one.</Empty>
      )}
      {students.data && students.data.length > 0 && (
        <>
          <div className="mb-3 max-w-sm">
            <Field label="Find by name" value={sought} onChange={(event) => setSought(event.target.value)} />
          </div>
          <ul className="grid gap-x-8 sm:grid-cols-2 xl:grid-cols-3">
            {found.map((student) => (
              <li key={student.id} className="border-b border-[var(--hairline)] py-1.5">
                <Link
                  className="font-semibold no-underline hover:underline"
                  to={{ pathname: `/roster/students/${student.id}`, search: scopeSearch(search, {}) }}
                >
                  {student.name}
                </Link>
                <span className="small soft block">
                  {student.seats.length === 0
                    ? "no seat at present"
                    : student.seats
                        .map(
                          (seat) =>
                            `${names.get(seat.instrument) ?? seat.instrument}${seat.division && ` ${seat.division}`}, ${seat.className}`,
                        )
                        .join(" · ")}
                </span>
              </li>
            ))}
          </ul>
          {found.length === 0 && <Empty>Nobody by that name.</Empty>}
        </>
      )}
    </>
  );
}
