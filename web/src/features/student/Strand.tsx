import type { Wire } from "@/api/types";
import { shortDay } from "@/calendar/dates";

type Week = Wire["WeekView"];

const STEP = 18;
const HEIGHT = 20;
const MIDDLE = HEIGHT / 2;
const THICKEST = 14;

/** The last weeks of practice as a strand: as thick as what was done of what was planned, dashed where nothing was. */
export function Strand({ weeks }: { weeks: Week[] }) {
  const share = (w: Week) => (w.planned === 0 ? (w.done > 0 ? 1 : 0) : Math.min(1, w.done / w.planned));
  return (
    <svg width={weeks.length * STEP} height={HEIGHT} role="img" aria-label={weeks.map(said).join("; ")}>
      {weeks.map((week, i) => {
        const x = i * STEP;
        if (week.done > 0) {
          const thick = 2 + (THICKEST - 2) * share(week);
          return (
            <rect
              key={week.monday}
              x={x}
              y={MIDDLE - thick / 2}
              width={STEP - 1}
              height={thick}
              fill="var(--lead)"
            />
          );
        }
        return (
          <line
            key={week.monday}
            x1={x}
            x2={x + STEP - 1}
            y1={MIDDLE}
            y2={MIDDLE}
            stroke={week.planned > 0 ? "var(--warn)" : "var(--line)"}
            strokeWidth={week.planned > 0 ? 2 : 1}
            strokeDasharray={week.planned > 0 ? "3 3" : undefined}
          />
        );
      })}
    </svg>
  );
}

function said({ monday, planned, done }: Week): string {
  if (planned === 0 && done === 0) return `${shortDay(monday)} nothing planned`;
  return `${shortDay(monday)} ${done} of ${planned} reps`;
}
