/** Ink or paper, whichever reads better on a colour. */
export function readableOn(color: string): string {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(color.slice(at, at + 2), 16) / 255) as [
    number,
    number,
    number,
  ];
  const channel = (c: number) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
  return 0.2126 * channel(r) + 0.7152 * channel(g) + 0.0722 * channel(b) > 0.25 ? "#20242C" : "#FFFFFF";
}

const patterns: Record<string, { step: number; draw: (x: number) => string }> = {
  diagonal: { step: 7, draw: (x) => `M${x} 14l5-10` },
  scallop: { step: 8, draw: (x) => `M${x} 11.5a4 4 0 0 1 8 0` },
  wave: { step: 12, draw: (x) => `M${x} 9q3-6 6 0t6 0` },
  diamond: { step: 11, draw: (x) => `M${x} 9l4.5-5 4.5 5-4.5 5z` },
  check: { step: 8, draw: (x) => `M${x} 4h4v5h4v5h-4v-5h-4z` },
  chevron: { step: 8, draw: (x) => `M${x} 4l5 5-5 5` },
  herringbone: { step: 10, draw: (x) => `M${x} 4l4 5-4 5M${x + 9} 4l-4 5 4 5` },
  cross: { step: 11, draw: (x) => `M${x} 9h7M${x + 3.5} 4.5v9` },
};

/** Every weave there is. */
export const weaves: readonly string[] = Object.keys(patterns);

/** The threads of a weave between two places, as an SVG path on a strip 18 high. */
export function weavePath(weave: string, from: number, to: number): string {
  const pattern = patterns[weave] ?? patterns.diagonal!;
  const parts: string[] = [];
  for (let x = from; x + pattern.step <= to; x += pattern.step) parts.push(pattern.draw(x));
  return parts.join("");
}
