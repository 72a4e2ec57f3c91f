import { useId } from "react";
import type { Catalogue, Plan } from "@/api/types";
import { dayOfMonth, shortDay, weekdayLetter } from "@/calendar/dates";
import { StairBlock, type StairEdit } from "./StairBlock";
import { stairs } from "./stairs";

type Props = {
  plan: Plan;
  from: string;
  until: string;
  catalogue: Catalogue;
  practised?: string[];
  compact?: boolean;
  /** Lets a coach choose, drag and change blocks. */
  edit?: StairEdit;
  /** The student's day. */
  today: string;
};

/** The climb to the next lesson. Done is filled, to come is outlined; a bar under a day marks a place with balls. */
export function Staircase({
  plan,
  from,
  until,
  catalogue,
  practised = [],
  compact = false,
  edit,
  today,
}: Props) {
  const id = useId();
  const left = compact ? 70 : 96;
  const right = compact ? 54 : 84;
  const width = compact ? 360 : 1060;
  const rowHeight = compact ? 36 : 40;
  const shape = stairs(plan, from, until, practised, width - left - right);
  const bottom = 14 + shape.rows.length * rowHeight;
  const y = (row: number) => bottom - (row + 1) * rowHeight;
  const label = (rung: string) => catalogue.rungs.find((r) => r.id === rung)?.label ?? rung;
  const first = plan.route[0]?.fault;
  const font = compact ? 13 : 14;
  return (
    <svg
      viewBox={`0 0 ${width} ${bottom + 40}`}
      className="w-full"
      role={edit ? "group" : "img"}
      aria-label={spoken(plan, catalogue)}
    >
      <defs>
        <pattern
          id={`${id}h`}
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="2.4" height="6" fill="var(--trail)" />
        </pattern>
      </defs>
      {shape.rows.map((rung, row) => (
        <g key={rung}>
          <line
            x1={left}
            x2={width - right}
            y1={y(row) + rowHeight}
            y2={y(row) + rowHeight}
            stroke="var(--line)"
          />
          <text
            x={left - 8}
            y={y(row) + rowHeight / 2 + 5}
            textAnchor="end"
            fontSize={font}
            fill="var(--ink)"
          >
            {label(rung)}
          </text>
        </g>
      ))}
      {shape.days.map((day, i) => (
        <g key={day.date} transform={`translate(${left + day.x} 0)`}>
          {day.date === today && (
            <rect x="0" y="4" width={shape.dayWidth} height={bottom - 4} fill="var(--tint)" />
          )}
          {day.planned && !day.home && (
            <rect x="1" y={bottom + 1} width={shape.dayWidth - 2} height="4" fill="var(--ink)" />
          )}
          {(shape.dayWidth >= 17 || i % 2 === 0) && (
            <text
              x={shape.dayWidth / 2}
              y={bottom + 18}
              textAnchor="middle"
              fontSize={font - 1}
              fill={day.planned ? "var(--ink)" : "var(--soft)"}
              fontWeight={day.planned ? 700 : 400}
            >
              {dayOfMonth(day.date)}
            </text>
          )}
          {shape.dayWidth >= 17 && (
            <text
              x={shape.dayWidth / 2}
              y={bottom + 33}
              textAnchor="middle"
              fontSize={font - 2}
              fill="var(--soft)"
            >
              {weekdayLetter(day.date)}
            </text>
          )}
        </g>
      ))}
      {shape.treads.map((t) => {
        const second = t.fault !== first;
        const fill = t.done ? (second ? `url(#${id}h)` : "var(--lead)") : "var(--sheet)";
        return (
          <StairBlock
            key={t.date + t.fault}
            tread={t}
            dayWidth={shape.dayWidth}
            scale={width}
            label={`${shortDay(t.date)}: ${catalogue.drills[t.drill]?.name}, ${label(t.rung).toLowerCase()}, ${t.reps} reps${t.locked ? ", locked" : ""}`}
            edit={t.done || t.date < today ? undefined : edit}
          >
            <rect
              x={left + t.x + 1.5}
              y={y(t.row) + 6}
              width={t.width - 3}
              height={rowHeight - 6}
              rx="3"
              fill={fill}
              stroke={second ? "var(--trail)" : "var(--lead)"}
              strokeWidth={edit?.chosen?.date === t.date && edit.chosen.fault === t.fault ? 4 : 2}
              strokeDasharray={second ? "4 3" : undefined}
            >
              <title>
                {shortDay(t.date)}: {catalogue.drills[t.drill]?.name}, {label(t.rung).toLowerCase()}, {t.reps}{" "}
                reps
                {t.balls > 0 ? `, ${t.balls} of them balls` : ""}
                {t.done ? ", done" : ""}
              </title>
            </rect>
            {!compact && t.width > 30 && (
              <text
                x={left + t.x + t.width / 2}
                y={y(t.row) + rowHeight / 2 + 8}
                textAnchor="middle"
                fontSize="13"
                fill={t.done && !second ? "var(--on-ink)" : "var(--ink)"}
              >
                {t.reps}
              </text>
            )}
            {t.locked && (
              <circle cx={left + t.x + t.width - 7} cy={y(t.row) + 12} r="3.5" fill="var(--ink)" />
            )}
          </StairBlock>
        );
      })}
      {shape.landings.map((landing) => (
        <g key={landing.fault + landing.row}>
          {landing.x < width - left - right && (
            <line
              x1={left + landing.x}
              x2={width - right + 4}
              y1={y(landing.row) + 4}
              y2={y(landing.row) + 4}
              stroke={landing.fault === first ? "var(--lead)" : "var(--trail)"}
              strokeWidth="2.5"
              strokeDasharray={landing.fault === first ? undefined : "4 3"}
            />
          )}
          {landing.chance != null && (
            <text
              x={width - right + 8}
              y={y(landing.row) + (landing.fault === first ? 9 : 9 + font + 4)}
              fontSize={font}
              fill={landing.fault === first ? "var(--ink)" : "var(--trail)"}
            >
              {Math.round(landing.chance * 100)} %
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}

function spoken(plan: Plan, catalogue: Catalogue): string {
  const steps = plan.route.map((step) => {
    const rung = catalogue.rungs.find((r) => r.id === step.rung)?.label;
    const chance =
      step.chance != null ? `, ${Math.round(step.chance * 100)} % through by the next lesson` : "";
    return `${rung}: ${catalogue.drills[step.drill]?.name}${chance}`;
  });
  return `The climb. ${steps.join("; ")}.`;
}
