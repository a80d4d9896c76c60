import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import type { NoteAbsence } from "../../api/types";
import { outbox } from "../hear/outbox";

/** Notes that a student is away from a class, or there after all; kept on the device until the server has it. */
export function noteAway(
  student: { studentId: string; name: string; classId: string },
  on: string,
  away: boolean,
) {
  const id = newId();
  outbox.add({
    id,
    kind: "note",
    label: `${student.name}, ${away ? "away" : "here after all"}`,
    path: at("/api/absences"),
    body: { id, classId: student.classId, studentId: student.studentId, on, away } satisfies NoteAbsence,
  });
}
