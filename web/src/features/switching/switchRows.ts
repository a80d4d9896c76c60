import { noteName } from "../../ui/notes";
import type { Student, SwitchRequest, SwitchView } from "../../api/types";

/** Somebody who is to change, in one class; without an instrument until one is chosen. */
export interface SwitchRow {
  studentId: string;
  name: string;
  classId: string;
  instrument: string;
}

export const rowKey = (row: { studentId: string; classId: string }) => `${row.studentId} ${row.classId}`;

/** A student as a row: in the class asked for, else in the first one they sit in. */
export function rowOf(student: Student, classId?: string): SwitchRow {
  const seat = student.seats.find((one) => one.classId === classId) ?? student.seats[0];
  return { studentId: student.id, name: student.name, classId: seat?.classId ?? "", instrument: "" };
}

/** Who could be added by what was typed: everybody seated who is not there yet, by any part of the name. */
export function found(students: readonly Student[], typed: string, rows: readonly SwitchRow[]): Student[] {
  const sought = typed.trim().toLowerCase();
  if (!sought) return [];
  const there = new Set(rows.map((row) => row.studentId));
  return students
    .filter((one) => one.seats.length > 0 && !there.has(one.id) && one.name.toLowerCase().includes(sought))
    .slice(0, 6);
}

/** The act as it is sent; rows without an instrument wait. */
export const requestOf = (
  rows: readonly SwitchRow[],
  from: string,
  until: string | undefined,
  catchUp: boolean,
): SwitchRequest => ({
  from,
  until,
  catchUp: catchUp && !until,
  students: rows
    .filter((row) => row.instrument && row.classId)
    .map((row) => ({ studentId: row.studentId, classId: row.classId, instrument: row.instrument })),
});

/** What the hand keeps, in one sentence. */
export function handSentence(view: Pick<SwitchView, "hands" | "keepsAll" | "fromName" | "toName">): string {
  const from = view.fromName?.toLowerCase() ?? "";
  const notes = (kept: SwitchView["hands"][number]["kept"]) => view.hands.filter((one) => one.kept === kept);
  const alike = notes("ALIKE").length;
  const fingers = notes("SAME_FINGERS").map((one) => noteName(one.note));
  if (view.hands.length === 0)
    return `No line with notes was passed on ${from} yet, so there is nothing to reuse.`;
  if (view.keepsAll) return `All ${view.hands.length} notes known from ${from} are taken in the same way.`;
  const parts = [
    alike > 0
      ? `${alike} of ${view.hands.length} notes are taken in the same way`
      : "No note is taken in the same way",
  ];
  if (fingers.length > 0)
    parts.push(`${fingers.join(", ")} keep${fingers.length === 1 ? "s its" : " their"} fingers`);
  return `${parts.join("; ")}.`;
}
