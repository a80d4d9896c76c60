import type { AuditEntry } from "../../api/types";

/** One line of the audit: who did what. */
export function auditWords({ by, what, about }: AuditEntry): string {
  const who = by ?? "The programme's rule";
  switch (what) {
    case "SIGNED_IN":
      return `${who} signed in`;
    case "READ_PAIN_REPORTS":
      return `${who} read reports of pain${about ? ` of ${about}` : ""}`;
    case "EXPORTED":
      return `${who} took out ${about ? `the board of ${about}` : "a list of students"}`;
    case "ERASED":
      return `${who} erased a student, now ${about ?? "without a name"}`;
  }
}
