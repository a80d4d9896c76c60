/** "B-flat" with its sign, which is narrower. */
export const signed = (name: string): string => name.replace("-flat", "♭").replace("-sharp", "♯");

/** "B-flat 4" as it is written small: "B♭4". */
export const noteName = (note: string): string => signed(note).replace(" ", "");
