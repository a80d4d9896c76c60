/** In another order, every one once. @param random in 0..1, as Math.random */
export function shuffled<T>(list: readonly T[], random: () => number = Math.random): T[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const other = Math.floor(random() * (i + 1));
    [all[i], all[other]] = [all[other]!, all[i]!];
  }
  return all;
}
