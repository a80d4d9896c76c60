import type { WarmUp, WarmUpDraft } from "../../api/types";

export const draftOf = (plan: WarmUp): WarmUpDraft => ({
  parts: plan.parts.map(({ kind, minutes, key, demonstrationId }) => ({
    kind,
    minutes,
    key,
    ...(demonstrationId && { demonstrationId }),
  })),
});

/** "2½ min" from 2.5; other fractions with a point. */
export function minutesWords(minutes: number): string {
  const whole = Math.floor(minutes);
  const rest = minutes - whole;
  const sign = rest === 0.25 ? "¼" : rest === 0.5 ? "½" : rest === 0.75 ? "¾" : undefined;
  if (rest === 0) return `${whole} min`;
  return sign ? `${whole || ""}${sign} min` : `${minutes.toFixed(1)} min`;
}

/** Half a minute more or less, never under half a minute. */
export const stepped = (minutes: number, by: 1 | -1): number => Math.max(0.5, minutes + by * 0.5);
