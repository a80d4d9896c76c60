/** A number with its noun: "1 line", "3 tries". */
export const counted = (n: number, one: string, many = `${one}s`) => `${n} ${agreeing(n, one, many)}`;

/** The word that goes with a number: "line is", "lines are". */
export const agreeing = (n: number, one: string, many: string) => (n === 1 ? one : many);
