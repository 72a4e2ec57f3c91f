import { plusDays, shortDay } from "@/calendar/dates";
import { checksOf, countGood, countJudged, type Day, marksOf, type Week } from "./weeks";

const WIDTH = 17;
const HEIGHT = 30;
const BAR = 12;

/** A week at a glance: per day how much of what was judged was good, checks underlined, pain dotted, days let pass dashed. */
export function WeekStrip({ week }: { week: Week }) {
  const at = (i: number) => week.days.find((d) => d.date === plusDays(week.monday, i));
  return (
    <svg
      width={7 * WIDTH}
      height={HEIGHT + 8}
      role="img"
      aria-label={week.days.map(said).reverse().join("; ")}
    >
      {Array.from({ length: 7 }, (_, i) => (
        <g key={i} transform={`translate(${i * WIDTH + 2} 1)`}>
          <DayBar day={at(i)} />
        </g>
      ))}
    </svg>
  );
}

function DayBar({ day }: { day?: Day }) {
  if (!day) return <line x1="4" x2="8" y1={HEIGHT} y2={HEIGHT} stroke="var(--line)" strokeWidth="2" />;
  if (!day.session) {
    return <rect width={BAR} height={HEIGHT} rx="2" fill="none" stroke="var(--soft)" strokeDasharray="2 3" />;
  }
  const marks = marksOf(day.session);
  const judged = countJudged(marks);
  const good = judged === 0 ? 0 : (HEIGHT * countGood(marks)) / judged;
  return (
    <>
      <rect
        width={BAR}
        height={HEIGHT}
        rx="2"
        fill={judged === 0 ? "var(--tint)" : "var(--sheet)"}
        stroke="var(--ink)"
      />
      <rect y={HEIGHT - good} width={BAR} height={good} rx="2" fill="var(--ink)" />
      {day.session.pain && <circle cx={BAR / 2} cy="6" r="4.5" fill="var(--alert)" stroke="var(--sheet)" />}
      {checksOf(day.session).length > 0 && <rect y={HEIGHT + 3} width={BAR} height="3" fill="var(--trail)" />}
    </>
  );
}

function said(day: Day): string {
  if (!day.session) return `${shortDay(day.date)} let pass`;
  const marks = marksOf(day.session);
  const parts = [`${countGood(marks)} good of ${countJudged(marks)}`];
  for (const check of checksOf(day.session)) parts.push(`check ${countGood(check.marks)}`);
  if (day.session.pain) parts.push(`pain ${day.session.pain.score}`);
  return `${shortDay(day.date)} ${parts.join(", ")}`;
}
