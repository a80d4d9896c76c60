/** Parts of a jump box value: what is searched, and an id that only tells equal names apart. */
export const jumpValue = (text: string, id: string) => `${text} #${id}`;

const fold = (text: string) => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/**
 * How well a value answers what was typed, from 0 (not at all) to 1. Every word typed must begin a word of the value;
 * whole words, and words further to the front, count for more. Accents may be left out.
 */
export function jumpScore(value: string, typed: string): number {
  const words = fold(value.replace(/ #[^#]*$/, ""))
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
  const sought = fold(typed)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
  let score = 1;
  for (const word of sought) {
    const whole = words.indexOf(word);
    const at = whole >= 0 ? whole : words.findIndex((w) => w.startsWith(word));
    if (at < 0) return 0;
    score *= (whole >= 0 ? 1 : 0.6) * (1 - 0.05 * Math.min(at, 10));
  }
  return Math.max(score, 0.001);
}
