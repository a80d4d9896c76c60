import type { CheckDraft } from "../../api/types";

/** A check as it is typed: rows of words, and things to try one to a line. */
export interface CheckForm {
  title: string;
  shortName: string;
  topic: CheckDraft["topic"];
  appliesTo: string[];
  instrumentFree: boolean;
  steps: { text: string; cue: string }[];
  criteria: { name: string; mustSee: boolean }[];
  selfTest: string;
  syllables: { style: string; syllable: string }[];
  faults: { sign: string; remedies: string }[];
  cautions: CheckDraft["cautions"];
  variants: { name: string; note: string; reviewWeeks: number }[];
  tones: { instrument: string; pitch: string }[];
  rule: CheckDraft["pass"]["rule"];
  k: number;
  n: number;
  mark: number;
  why: string;
  seenFrom: NonNullable<CheckDraft["seenFrom"]>;
  notFor: string;
  /** Whether what comes before it is inferred from the topics. */
  inferred: boolean;
  after: string[];
}

export const emptyForm: CheckForm = {
  title: "",
  shortName: "",
  topic: "HOLD",
  appliesTo: [],
  instrumentFree: false,
  steps: [
    { text: "", cue: "" },
    { text: "", cue: "" },
    { text: "", cue: "" },
  ],
  criteria: [
    { name: "", mustSee: false },
    { name: "", mustSee: false },
    { name: "", mustSee: false },
  ],
  selfTest: "",
  syllables: [],
  faults: [{ sign: "", remedies: "" }],
  cautions: [],
  variants: [],
  tones: [],
  rule: "ALL_CRITERIA",
  k: 4,
  n: 5,
  mark: 3,
  why: "",
  seenFrom: "FRONT",
  notFor: "",
  inferred: true,
  after: [],
};

export function formOf(draft: CheckDraft): CheckForm {
  return {
    title: draft.title,
    shortName: draft.shortName,
    topic: draft.topic,
    appliesTo: draft.appliesTo,
    instrumentFree: draft.instrumentFree,
    steps: draft.steps.map((step) => ({ text: step.text, cue: step.cue ?? "" })),
    criteria: draft.criteria,
    selfTest: draft.selfTest,
    syllables: draft.syllables,
    faults: draft.faults.map((fault) => ({ sign: fault.sign, remedies: fault.remedies.join("\n") })),
    cautions: draft.cautions,
    variants: draft.variants,
    tones: draft.tones,
    rule: draft.pass.rule,
    k: draft.pass.k ?? emptyForm.k,
    n: draft.pass.n ?? emptyForm.n,
    mark: draft.pass.mark ?? Math.max(1, draft.criteria.length - 1),
    why: draft.why ?? "",
    seenFrom: draft.seenFrom ?? "FRONT",
    notFor: draft.notFor ?? "",
    inferred: draft.after === undefined,
    after: draft.after ?? [],
  };
}

/** What is sent; whether it holds together is the server's to say. */
export function draftOf(form: CheckForm): CheckDraft {
  return {
    title: form.title,
    shortName: form.shortName,
    topic: form.topic,
    appliesTo: form.appliesTo,
    instrumentFree: form.instrumentFree,
    steps: form.steps.map(({ text, cue }) => ({ text, cue: cue.trim() || undefined })),
    criteria: form.criteria.map(({ name, mustSee }) => ({ name, mustSee })),
    selfTest: form.selfTest,
    syllables: form.syllables.filter((s) => s.style.trim() || s.syllable.trim()),
    faults: form.faults.map(({ sign, remedies }) => ({ sign, remedies: remedies.split("\n") })),
    cautions: form.cautions,
    variants: form.variants.map((v) => ({ ...v, reviewWeeks: Number(v.reviewWeeks) || 0 })),
    tones: form.tones.filter((tone) => tone.pitch.trim()),
    why: form.why,
    seenFrom: form.seenFrom,
    notFor: form.notFor,
    pass: {
      rule: form.rule,
      k: form.rule === "K_OF_LAST_N" ? Number(form.k) || 0 : undefined,
      n: form.rule === "K_OF_LAST_N" ? Number(form.n) || 0 : undefined,
      mark: form.rule === "SCORE_AT_LEAST" ? Number(form.mark) || 0 : undefined,
    },
    after: form.inferred ? undefined : form.after,
  };
}
