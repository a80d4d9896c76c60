import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useEffect, useRef, useState } from "react";
import { Button, Failed, Kbd, Skeleton } from "../../ui/parts";
import { looks } from "../../ui/looks";
import { counted } from "../../ui/words";
import { absencesQuery } from "./attendance.queries";
import { noteAway } from "./noteAway";

interface Props {
  classId: string;
  className: string;
  on: string;
  onClose: () => void;
  /** Told of every tap, for a run that goes on. */
  onNote?: (studentId: string, away: boolean) => void;
}

/** Who is away, taken once for a class by tapping names; every run of the day leaves them out. */
export function AwayList({ classId, className, on, onClose, onNote }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const list = useQuery(absencesQuery(classId, on));
  /** What was tapped just now, until it is read again. */
  const [tapped, setTapped] = useState<ReadonlyMap<string, boolean>>(new Map());
  const students = list.data?.students ?? [];
  const isAway = (student: (typeof students)[number]) => tapped.get(student.studentId) ?? student.away;
  const away = students.filter(isAway).length;
  return (
    <dialog ref={dialog} onClose={onClose} className={looks.modal} aria-labelledby="away-title">
      <div className={`${looks.modalBox} bg-base-100 max-w-5xl`}>
        <div className="mb-3 flex flex-wrap items-baseline gap-x-3">
          <h2 id="away-title" className="text-xl">
            Who is away?
          </h2>
          <span className="soft" aria-live="polite">
            {className} · {away === 0 ? "everybody is here" : `${counted(away, "student")} away`}
          </span>
        </div>
        {list.isError && <Failed error={list.error} again={() => void list.refetch()} />}
        {list.isPending && <Skeleton rows={6} />}
        <ul className="mb-4 grid gap-1.5 sm:grid-cols-2 md:grid-cols-3 lg:grid-cols-4">
          {students.map((student) => (
            <li key={student.studentId}>
              <button
                type="button"
                aria-pressed={isAway(student)}
                className={clsx(
                  "hairline flex min-h-11 w-full items-baseline justify-between gap-2 rounded-lg border-[1.5px] px-3 py-1.5 text-left",
                  isAway(student) && "bg-base-300 border-dashed",
                )}
                onClick={() => {
                  const next = !isAway(student);
                  setTapped((all) => new Map(all).set(student.studentId, next));
                  noteAway({ ...student, classId }, on, next);
                  onNote?.(student.studentId, next);
                }}
              >
                <span className={clsx(isAway(student) && "line-through")}>{student.name}</span>
                <span className="small soft shrink-0">
                  {isAway(student) ? "away" : student.instrumentName}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <Button look="primary" onClick={() => dialog.current?.close()}>
          Done <Kbd>Esc</Kbd>
        </Button>
      </div>
    </dialog>
  );
}
