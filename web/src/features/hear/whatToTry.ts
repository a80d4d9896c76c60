import type { CheckView, WhatHelped } from "../../api/types";

/** What to try against a sign, in order. */
export const remediesOf = (check: CheckView, sign: string): readonly string[] =>
  check.faults.find((fault) => fault.sign === sign)?.remedies ?? [];

/** The last time a remedy helped this student against this sign. */
export const helpedBefore = (
  helped: WhatHelped | undefined,
  studentId: string,
  sign: string,
  remedy: string,
) => helped?.helped.find((h) => h.studentId === studentId && h.sign === sign && h.remedy === remedy);

/** What helped at least two of a section, most students first. */
export const mostHelped = (helped: WhatHelped | undefined, most: number) =>
  (helped?.most ?? []).filter((m) => m.students > 1).slice(0, most);
