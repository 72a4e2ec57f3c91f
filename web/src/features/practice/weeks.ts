import type { Practice, Wire } from "@/api/types";
import { plusDays, weekdayOf } from "@/calendar/dates";

export type Session = Practice["sessions"][number];

/** A day that was practised, or planned and let pass. */
export type Day = { date: string; session?: Session; planned?: number };

/**
 * @property good and judged: reps of the week
 * @property checks good of ten in each scored set, in the order done
 * @property pain the worst of the week, of 10
 */
export type Week = {
  monday: string;
  days: Day[];
  done: number;
  planned: number;
  good: number;
  judged: number;
  checks: number[];
  pain: number;
};

const FULL_CHECK = 10;

/** What was done of the day's work: tries stand above it and do not count. */
export function workOf(session?: Session) {
  return session?.blocks.filter((b) => b.kind !== "try") ?? [];
}

export function marksOf(session?: Session): string {
  return workOf(session)
    .map((b) => b.marks)
    .join("");
}

export function countGood(marks: string): number {
  return [...marks].filter((m) => m === "+").length;
}

export function countJudged(marks: string): number {
  return [...marks].filter((m) => m !== "o").length;
}

/** The scored sets of the plan in a session. */
export function checksOf(session?: Session) {
  return session?.blocks.filter((b) => b.kind === "check" && !b.aside && b.marks.length >= FULL_CHECK) ?? [];
}

/** The days practised, and between them those that were planned and let pass; latest first. */
export function daysOf(
  sessions: Session[],
  planned: Wire["PlannedDay"][],
  now: string,
  first: boolean,
  last: boolean,
): Day[] {
  const reps = new Map(planned.map((p) => [p.date, p.reps]));
  const done = sessions.map((s) => ({ date: s.day, session: s, planned: reps.get(s.day) }));
  const days = new Set(sessions.map((s) => s.day));
  // The latest planned day may be a day ahead of the coach's: it is the student's today.
  const latest = [now, planned[0]?.date ?? ""].sort()[1]!;
  const [newest, oldest] = [
    first ? latest : (sessions[0]?.day ?? latest),
    last ? "" : (sessions.at(-1)?.day ?? ""),
  ];
  const missed = planned
    .filter((p) => !days.has(p.date) && p.date < newest && p.date > oldest)
    .map((p) => ({ date: p.date, planned: p.reps }));
  return [...done, ...missed].sort((a, b) => b.date.localeCompare(a.date));
}

/** The same in weeks that begin on Monday, latest first. */
export function weeksOf(days: Day[]): Week[] {
  const weeks = new Map<string, Day[]>();
  for (const day of days) {
    const monday = plusDays(day.date, -weekdayOf(day.date));
    weeks.set(monday, [...(weeks.get(monday) ?? []), day]);
  }
  return [...weeks].map(([monday, all]) => {
    const marks = all.map((d) => marksOf(d.session)).join("");
    return {
      monday,
      days: all,
      done: all.filter((d) => d.session).length,
      planned: all.filter((d) => d.planned !== undefined).length,
      good: countGood(marks),
      judged: countJudged(marks),
      checks: [...all].reverse().flatMap((d) => checksOf(d.session).map((b) => countGood(b.marks))),
      pain: Math.max(0, ...all.map((d) => d.session?.pain?.score ?? 0)),
    };
  });
}
