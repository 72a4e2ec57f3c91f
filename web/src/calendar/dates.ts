/** Days are said in the language of the words around them. */
export const LANGUAGE = "en-GB";

/** Today in the reader's own time zone, as the server takes it. */
export function today(): string {
  const date = new Date();
  date.setDate(date.getDate() + ahead);
  return iso(date);
}

let ahead = 0;

/** The demo's day may be moved on. */
export function moveToday(days: number) {
  ahead = days;
}

export function iso(date: Date): string {
  const pad = (n: number) => String(n).padStart(2, "0");
  return `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}`;
}

/** Noon of that day, so that no change of the clock moves it to another. */
function noon(day: string): Date {
  return new Date(`${day}T12:00:00`);
}

export function plusDays(day: string, days: number): string {
  const date = noon(day);
  date.setDate(date.getDate() + days);
  return iso(date);
}

export function daysBetween(from: string, to: string): number {
  return Math.round((noon(to).getTime() - noon(from).getTime()) / 86_400_000);
}

export function longDay(day: string): string {
  return noon(day).toLocaleDateString(LANGUAGE, { weekday: "long", day: "numeric", month: "long" });
}

export function shortDay(day: string): string {
  return noon(day).toLocaleDateString(LANGUAGE, { weekday: "short", day: "numeric", month: "short" });
}

/** A day and time of day, as the reader writes them. */
export function moment(at: string): string {
  return new Date(at).toLocaleString(LANGUAGE, { dateStyle: "medium", timeStyle: "short" });
}

export function weekdayLetter(day: string): string {
  return noon(day).toLocaleDateString(LANGUAGE, { weekday: "narrow" });
}

export function dayOfMonth(day: string): number {
  return noon(day).getDate();
}

/** 0 for Monday to 6 for Sunday. */
export function weekdayOf(day: string): number {
  return (noon(day).getDay() + 6) % 7;
}
