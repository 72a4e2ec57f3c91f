import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Me, PlanDay } from "@/api/types";
import { daysBetween, today } from "@/calendar/dates";
import { held, scoredIn } from "./held";
import type { Kept } from "./outbox";
import { useOwnOutbox } from "./useOutbox";

/** A change of the plan is news for so many days. */
const NEWS = 3;

/** One day of the running plan, as the student sees it. */
export type Today = Me & {
  date: string;
  day?: PlanDay;
  session?: Me["sessions"][number];
  nextDay?: string;
  practised: string[];
};

/** Everything about a day follows from what the phone has, so that any day can be shown without a signal. */
export function todayOf(me: Me, date: string, kept: Kept[] = []): Today {
  const days = me.plan?.plan.days ?? [];
  const planned = days.find((d) => d.date === date);
  const session = me.sessions.filter((s) => s.day === date).at(-1);
  // A day that is begun stays as it was begun.
  const holds = me.plan && planned && !session;
  const news = me.laidAgain && daysBetween(me.laidAgain.on, date) < NEWS;
  return {
    ...me,
    laidAgain: news ? me.laidAgain : undefined,
    date,
    day: holds ? held(planned, me.plan!.plan, me.rungs, scoredIn(kept)) : planned,
    session,
    nextDay: days.find((d) => d.date > date)?.date,
    practised: [...new Set(me.sessions.map((s) => s.day))],
  };
}

/** What the phone knows, old or new; the error only where it knows nothing. */
export function useToday() {
  const me = useQuery(queries.me());
  const outbox = useOwnOutbox();
  return {
    data: me.data && todayOf(me.data, today(), outbox.kept()),
    error: me.data ? null : me.error,
    again: () => void me.refetch(),
  };
}
