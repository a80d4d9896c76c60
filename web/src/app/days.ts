const formats = {
  day: new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", timeZone: "UTC" }),
  long: new Intl.DateTimeFormat("en-GB", { weekday: "long", day: "numeric", month: "long", timeZone: "UTC" }),
  weekday: new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    timeZone: "UTC",
  }),
  moment: new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
    hour: "2-digit",
    minute: "2-digit",
  }),
  month: new Intl.DateTimeFormat("en-GB", { month: "short", timeZone: "UTC" }),
};

/** Days travel as year-month-day text; this is the same day as a moment in UTC. */
export const moment = (day: string) => new Date(`${day}T00:00:00Z`);

export const shortDay = (day: string) => formats.day.format(moment(day));
export const longDay = (day: string) => formats.long.format(moment(day));
export const weekday = (day: string) => formats.weekday.format(moment(day));
export const monthName = (day: string) => formats.month.format(moment(day));

/** "2–6 November" or "28 September – 2 October". */
export function span(first: string, last: string): string {
  const [a, b] = [moment(first), moment(last)];
  if (first === last) return shortDay(first);
  const long = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", timeZone: "UTC" });
  return a.getUTCMonth() === b.getUTCMonth()
    ? `${a.getUTCDate()}–${long.format(b)}`
    : `${shortDay(first)} – ${shortDay(last)}`;
}

export const daysApart = (from: string, to: string) =>
  Math.round((moment(to).getTime() - moment(from).getTime()) / 86_400_000);

export const addDays = (day: string, days: number) =>
  new Date(moment(day).getTime() + days * 86_400_000).toISOString().slice(0, 10);

/** A moment where one reads it: "7 Oct 2026, 14:05". */
export const momentWords = (at: string) => formats.moment.format(new Date(at));

/** "4 min 10 s"; whole minutes from ten up. */
export function duration(seconds: number): string {
  if (seconds < 60) return `${seconds} s`;
  const minutes = Math.floor(seconds / 60);
  const rest = seconds % 60;
  return minutes >= 10 || rest === 0 ? `${Math.round(seconds / 60)} min` : `${minutes} min ${rest} s`;
}
