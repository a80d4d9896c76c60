import type { FitKind, FitMeasures } from "../../api/types";

type MeasureName = Exclude<keyof FitMeasures, "standing">;

export interface MeasureField {
  name: MeasureName;
  label: string;
  unit: string;
  hint: string;
}

const hand: MeasureField = {
  name: "handCm",
  label: "Hand width",
  unit: "cm",
  hint: "across the four knuckles, fingers closed",
};
const knee: MeasureField = {
  name: "kneeCm",
  label: "Knee height",
  unit: "cm",
  hint: "floor to the hollow of the knee, shoes on",
};
const arm: MeasureField = {
  name: "armCm",
  label: "Arm length",
  unit: "cm",
  hint: "side of the neck to the middle of the palm, arm out",
};

/** What is fitted, for which instruments, and what is measured for it. */
export const fits: Record<
  FitKind,
  { name: string; instruments: readonly string[]; fields: readonly MeasureField[] }
> = {
  CHAIR: { name: "Chair height", instruments: [], fields: [knee] },
  CELLO_ENDPIN: {
    name: "Cello endpin",
    instruments: ["cello"],
    fields: [
      hand,
      { name: "seatCm", label: "Seat height", unit: "cm", hint: "floor to the front edge" },
      knee,
    ],
  },
  BASS_ENDPIN: { name: "Bass endpin", instruments: ["double-bass"], fields: [hand] },
  VIOLIN_SIZE: { name: "Violin size", instruments: ["violin"], fields: [arm] },
  VIOLA_SIZE: { name: "Viola size", instruments: ["viola"], fields: [arm] },
  HORN_BELL: {
    name: "Horn bell height",
    instruments: ["horn"],
    fields: [
      { name: "mouthCm", label: "Seat to lips", unit: "cm", hint: "sitting tall, head level" },
      { name: "thighCm", label: "Seat to thigh", unit: "cm", hint: "top of the right thigh, leg out" },
    ],
  },
  TRUMPET_RING: {
    name: "Trumpet ring",
    instruments: ["trumpet", "flugelhorn"],
    fields: [
      {
        name: "reachCm",
        label: "Thumb to ring finger",
        unit: "cm",
        hint: "web of the left thumb to the tip of the ring finger, hand spread",
      },
    ],
  },
  BASSOON_STRAP: {
    name: "Bassoon strap",
    instruments: ["bassoon"],
    fields: [
      { name: "weeks", label: "Weeks played", unit: "weeks", hint: "since the first lesson on the bassoon" },
    ],
  },
};

export const fitKinds = Object.keys(fits) as FitKind[];

/** The fit asked for first on an instrument. */
export const fitFor = (instrument: string | undefined): FitKind =>
  fitKinds.find((kind) => instrument !== undefined && fits[kind].instruments.includes(instrument)) ?? "CHAIR";

export type Typed = Partial<Record<MeasureName, string>> & { standing?: boolean };

/** Numbers as typed, a comma taken for a point; what is not typed, or no number, is left out. */
export function measuresTyped(kind: FitKind, typed: Typed): FitMeasures {
  const measures: FitMeasures = {};
  for (const { name } of fits[kind].fields) {
    const text = typed[name]?.trim().replace(",", ".");
    if (text && Number.isFinite(Number(text))) measures[name] = Number(text);
  }
  if (kind === "BASS_ENDPIN") measures.standing = typed.standing ?? true;
  return measures;
}

/** Whether everything that is measured for it was typed as a number. */
export const isMeasured = (kind: FitKind, measures: FitMeasures) =>
  fits[kind].fields.every(({ name }) => measures[name] !== undefined);
