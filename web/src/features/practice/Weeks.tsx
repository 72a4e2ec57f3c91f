import type { Catalogue } from "@/api/types";
import { shortDay } from "@/calendar/dates";
import { Wide } from "@/ui/Wide";
import { FELT } from "./felt";
import { toldIn } from "./toldIn";
import { checksOf, countGood, countJudged, type Day, marksOf, type Week } from "./weeks";
import { WeekStrip } from "./WeekStrip";

/** Weeks as rows that open to their days; the latest is open. */
export function Weeks({ weeks, catalogue }: { weeks: Week[]; catalogue: Catalogue }) {
  return (
    <ol aria-label="Practice, week by week" className="border-strong-line border-t">
      {weeks.map((week, i) => (
        <li key={week.monday} className="border-strong-line border-b">
          <details open={i === 0}>
            <summary className="flex cursor-pointer flex-wrap items-center gap-x-4 gap-y-1 py-2">
              <span className="w-28">
                <strong className="block">{shortDay(week.monday)}</strong>
                <span className="text-soft text-sm">
                  {week.planned >= week.done ? `${week.done} of ${week.planned} days` : `${week.done} days`}
                </span>
              </span>
              <WeekStrip week={week} />
              <span className="ml-auto flex flex-wrap items-baseline justify-end gap-x-4 text-right">
                {week.judged > 0 && (
                  <span className="text-soft">{Math.round((100 * week.good) / week.judged)} % good</span>
                )}
                {week.checks.length > 0 && (
                  <span>
                    checks <strong className="tracking-wide">{week.checks.join(" · ")}</strong>
                  </span>
                )}
                {week.pain > 0 && <strong className="text-alert">pain {week.pain}</strong>}
              </span>
            </summary>
            <Days label={`Days from ${shortDay(week.monday)}`} days={week.days} catalogue={catalogue} />
          </details>
        </li>
      ))}
    </ol>
  );
}

function Days({ label, days, catalogue }: { label: string; days: Day[]; catalogue: Catalogue }) {
  return (
    <Wide label={label}>
      <table className="mb-2 w-full border-collapse text-left">
        <thead className="text-soft border-line border-b text-sm">
          <tr>
            {["Day", "Reps", "Good", "Check", "Felt", "Pain"].map((head) => (
              <th key={head} className="py-1 pr-2 font-normal whitespace-nowrap">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {days.map((day) =>
            day.session ? (
              <DayRow key={day.session.id} day={day} session={day.session} catalogue={catalogue} />
            ) : (
              <tr key={day.date} className="border-line text-soft border-b">
                <td className="py-1.5 pr-3 whitespace-nowrap">{shortDay(day.date)}</td>
                <td colSpan={5}>not practised; {day.planned} reps were planned</td>
              </tr>
            ),
          )}
        </tbody>
      </table>
    </Wide>
  );
}

function DayRow({
  day,
  session,
  catalogue,
}: {
  day: Day;
  session: NonNullable<Day["session"]>;
  catalogue: Catalogue;
}) {
  const marks = marksOf(session);
  const judged = countJudged(marks);
  const joint = catalogue.joints.find((j) => j.id === session.pain?.where)?.label.toLowerCase();
  return (
    <tr className="border-line border-b align-baseline">
      <td className="py-1.5 pr-3">
        <span className="whitespace-nowrap">{shortDay(session.day)}</span>
        {session.earlierPlan && <span className="text-soft block text-sm">by the plan as it was before</span>}
        {toldIn(session, catalogue).map((said) => (
          <span key={said} className="text-soft block text-sm">
            {said}
          </span>
        ))}
      </td>
      <td className="pr-3 whitespace-nowrap">
        {marks.length}
        {day.planned !== undefined && <span className="text-soft"> of {day.planned}</span>}
      </td>
      <td className="pr-3 whitespace-nowrap">
        {judged > 0 ? `${Math.round((100 * countGood(marks)) / judged)} %` : "–"}
      </td>
      <td className="pr-3 font-semibold whitespace-nowrap">
        {checksOf(session)
          .map((b) => `${countGood(b.marks)} of ${b.marks.length}`)
          .join(", ") || "–"}
      </td>
      <td className="pr-3 whitespace-nowrap">{session.feel ? FELT[session.feel] : "–"}</td>
      <td>
        {session.pain && (
          <strong className="text-alert">
            Pain {session.pain.score} of 10, {joint}
          </strong>
        )}
      </td>
    </tr>
  );
}
