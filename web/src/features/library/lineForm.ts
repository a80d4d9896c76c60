import type { LineFacts, LineRequest } from "../../api/types";

/** The facts of a line as a form holds them: numbers as typed. */
export interface LineForm {
  page: string;
  number: string;
  title: string;
  concertKey: string;
  meter: string;
  tempoBpm: string;
  measures: string;
  playedMeasures: string;
  notesUsed: string;
  valuesIntroduced: string[];
  signsIntroduced: string[];
  roadmap: string;
}

export const emptyLine: LineForm = {
  page: "",
  number: "",
  title: "",
  concertKey: "B-flat major",
  meter: "4/4",
  tempoBpm: "80",
  measures: "8",
  playedMeasures: "",
  notesUsed: "",
  valuesIntroduced: [],
  signsIntroduced: [],
  roadmap: "",
};

export const formOf = (facts: LineFacts): LineForm => ({
  ...facts,
  page: String(facts.page),
  number: String(facts.number),
  tempoBpm: String(facts.tempoBpm),
  measures: String(facts.measures),
  playedMeasures: facts.playedMeasures === facts.measures ? "" : String(facts.playedMeasures),
});

/** What is sent; an empty count is 0, which the server answers or fills in. */
export const requestOf = (bookId: string, form: LineForm): LineRequest => ({
  bookId,
  page: Number(form.page) || 0,
  number: Number(form.number) || 0,
  title: form.title,
  concertKey: form.concertKey,
  meter: form.meter,
  tempoBpm: Number(form.tempoBpm) || 0,
  measures: Number(form.measures) || 0,
  playedMeasures: Number(form.playedMeasures) || 0,
  notesUsed: form.notesUsed,
  valuesIntroduced: form.valuesIntroduced,
  signsIntroduced: form.signsIntroduced as LineRequest["signsIntroduced"],
  roadmap: form.roadmap,
});

const tonics = [
  "C",
  "G",
  "D",
  "A",
  "E",
  "B",
  "F-sharp",
  "F",
  "B-flat",
  "E-flat",
  "A-flat",
  "D-flat",
  "G-flat",
];
const minors = ["A", "E", "B", "F-sharp", "C-sharp", "D", "G", "C", "F", "B-flat"];

export const keyNames = [...tonics.map((t) => `${t} major`), ...minors.map((t) => `${t} minor`)];

export const valueNames = [
  "whole",
  "half",
  "dotted half",
  "quarter",
  "dotted quarter",
  "eighth",
  "16th",
  "eighth triplet",
  "whole rest",
  "half rest",
  "quarter rest",
  "eighth rest",
];

export const signNames: Record<string, string> = {
  SHARP: "sharp",
  FLAT: "flat",
  NATURAL: "natural",
  TIE: "tie",
  SLUR: "slur",
  STACCATO: "staccato",
  TENUTO: "tenuto",
  ACCENT: "accent",
  FERMATA: "fermata",
  PICK_UP: "pick-up",
  REPEAT: "repeat",
  ENDINGS: "first and second endings",
  DA_CAPO: "D.C.",
  DAL_SEGNO: "D.S.",
  FINE: "Fine",
  CODA: "coda",
  SYNCOPATION: "syncopation",
  DOWN_BOW: "down bow",
  UP_BOW: "up bow",
  PIZZICATO: "pizzicato",
  TREMOLO: "tremolo or roll",
};
