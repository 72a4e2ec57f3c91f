import { useId, useState } from "react";
import type { Catalogue, Plan } from "@/api/types";
import { dayOfMonth, shortDay, weekdayLetter } from "@/calendar/dates";
import { DayCard } from "./DayCard";
import { isAt } from "./BlockPanel";
import { StairBlock, type StairEdit } from "./StairBlock";
import { placed, type Promised, type PromisedWay, stairs } from "./stairs";
import { StepMark } from "./StepMark";

type Props = {
  plan: Plan;
  from: string;
  until: string;
  catalogue: Catalogue;
  practised?: string[];
  compact?: boolean;
  /** Lets a coach choose, drag and change blocks. */
  edit?: StairEdit;
  /** What was promised when it was handed over; nothing of a draft. */
  promised?: Promised[];
  /** The student's day. */
  today: string;
};

/** A chance is shown to a student only when it is worth having. */
const WORTH_SHOWING = 0.1;

/** A flag in its hole at 0, 0: a round. */
const FLAG = "M0 0V-15L7 -11.5L0 -8";

/** Width of a letter of the drills' names. */
const LETTER = 7;

/**
 * The climb to the next lesson. Done is filled, to come is outlined; a bar under a day marks a place with balls, a
 * flag a round. Over the
 * first day of a step stands its drill, in a block small marks say what the club meets and that a half-step is due, and
 * a card says all of a day that is pointed at.
 */
export function Staircase({
  plan,
  from,
  until,
  catalogue,
  practised = [],
  compact = false,
  edit,
  promised,
  today,
}: Props) {
  const id = useId();
  const left = compact ? 70 : 96;
  const right = compact ? 54 : 84;
  const width = compact ? 360 : 1060;
  const rowHeight = compact ? 36 : 56;
  const nameHeight = compact ? 0 : 17;
  const [shown, setShown] = useState<string>();
  const shape = stairs(plan, from, until, practised, width - left - right, promised);
  const bottom = 14 + shape.rows.length * rowHeight;
  const y = (row: number) => bottom - (row + 1) * rowHeight;
  const label = (rung: string) => catalogue.rungs.find((r) => r.id === rung)?.label ?? rung;
  const first = plan.route[0]?.fault;
  const font = compact ? 13 : 14;
  const names = compact
    ? []
    : placed(shape.names, (drill) => catalogue.drills[drill]?.name ?? drill, LETTER, width - left - right);
  const marks = [...new Set(shape.treads.flatMap((t) => [t.form, t.halfStep ? "half-step" : "none"]))].filter(
    (m) => m !== "none",
  );
  const day = plan.days.find((d) => d.date === shown);
  const dayAt = shape.days.find((d) => d.date === shown);
  return (
    <div className="relative">
      <svg
        viewBox={`0 0 ${width} ${bottom + 40}`}
        className="w-full"
        role="group"
        aria-label={spoken(plan, catalogue, compact)}
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
              y={y(row) + (rowHeight + nameHeight) / 2 + 5}
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
            {day.round && (
              <path
                d={FLAG}
                transform={`translate(${shape.dayWidth / 2} ${bottom})`}
                fill="var(--ink)"
                stroke="var(--ink)"
                onMouseEnter={() => setShown(day.date)}
                onMouseLeave={() => setShown(undefined)}
              />
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
        {shape.promised.map((way) => (
          <path
            key={way.fault}
            d={wayOf(way, left, (row) => y(row) + nameHeight + 4 + (rowHeight - nameHeight - 4) / 2)}
            fill="none"
            stroke={way.fault === first ? "var(--lead)" : "var(--trail)"}
            strokeWidth="10"
            strokeLinejoin="round"
            opacity="0.22"
          />
        ))}
        {shape.treads.map((t) => {
          const second = t.fault !== first;
          const fill = t.done ? (second ? `url(#${id}h)` : "var(--lead)") : "var(--sheet)";
          return (
            <StairBlock
              key={t.date + t.fault + t.rung}
              tread={t}
              dayWidth={shape.dayWidth}
              scale={width}
              label={`${shortDay(t.date)}: ${catalogue.drills[t.drill]?.name}, ${label(t.rung).toLowerCase()}, ${t.reps} reps${t.halfStep ? `, ${t.halfStep.toLowerCase()}` : ""}${t.locked ? ", locked" : ""}${t.done ? ", done" : ""}`}
              edit={t.done || t.date < today ? undefined : edit}
              onShow={(on) => setShown(on ? t.date : undefined)}
            >
              <rect
                x={left + t.x + 1.5}
                y={y(t.row) + nameHeight + 4}
                width={Math.max(2, t.width - 3)}
                height={rowHeight - nameHeight - 4}
                rx="3"
                fill={fill}
                stroke={second ? "var(--trail)" : "var(--lead)"}
                strokeWidth={shown === t.date || isAt(edit?.chosen, t) ? 4 : 2}
                strokeDasharray={second ? "4 3" : undefined}
              />
              {!compact && t.width > 26 && (
                <text
                  x={left + t.x + t.width / 2}
                  y={y(t.row) + nameHeight + 18}
                  textAnchor="middle"
                  fontSize="13"
                  fill={ink(t.done, second)}
                >
                  {t.reps}
                </text>
              )}
              {!compact &&
                [t.form, t.halfStep ? "half-step" : "none"]
                  .filter((m) => m !== "none")
                  .map((m, i, all) => (
                    <StepMark
                      key={m}
                      kind={m}
                      x={left + t.x + t.width / 2 + (i - (all.length - 1) / 2) * Math.min(12, t.width / 2)}
                      y={y(t.row) + rowHeight - 9}
                      ink={ink(t.done, second)}
                    />
                  ))}
              {t.locked && (
                <circle
                  cx={left + t.x + t.width - 7}
                  cy={y(t.row) + nameHeight + 10}
                  r="3.5"
                  fill="var(--ink)"
                />
              )}
            </StairBlock>
          );
        })}
        {names.map((n) => (
          <text
            key={n.row + n.drill}
            x={left + n.x + 2}
            y={y(n.row) + nameHeight - 2}
            fontSize="13"
            fill={n.fault === first ? "var(--ink)" : "var(--trail)"}
          >
            {n.text}
          </text>
        ))}
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
            {landing.chance != null && (!compact || landing.chance > WORTH_SHOWING) && (
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
      {day && dayAt && (
        <div
          role="tooltip"
          className="border-strong-line bg-sheet pointer-events-none absolute bottom-full z-10 w-max max-w-[min(26rem,92%)] rounded-md border p-3 text-sm shadow-lg"
          style={cardPlace((left + dayAt.x + shape.dayWidth / 2) / width)}
        >
          <DayCard day={day} catalogue={catalogue} done={practised.includes(day.date)} />
        </div>
      )}
      {!compact && (marks.length > 0 || shape.promised.length > 0) && (
        <ul className="text-soft flex flex-wrap gap-x-4 text-sm" aria-label="Marks in the blocks">
          {shape.promised.length > 0 && (
            <li className="flex items-center gap-1.5">
              <svg viewBox="0 0 24 14" className="h-4 w-6" aria-hidden>
                <path d="M1 11H11V4H23" fill="none" stroke="var(--lead)" strokeWidth="6" opacity="0.22" />
              </svg>
              the way as it was promised
            </li>
          )}
          {shape.days.some((d) => d.round) && (
            <li className="flex items-center gap-1.5">
              <svg viewBox="-7 -17 14 18" className="size-4" aria-hidden>
                <path d={FLAG} fill="var(--ink)" stroke="var(--ink)" />
              </svg>
              a round on the course
            </li>
          )}
          {marks.map((mark) => (
            <li key={mark} className="flex items-center gap-1.5">
              <svg viewBox="-7 -7 14 14" className="size-4" aria-hidden>
                <StepMark kind={mark} x={0} y={0} ink="var(--ink)" />
              </svg>
              {mark === "half-step"
                ? "a half-step that day"
                : catalogue.forms.find((f) => f.id === mark)?.label.toLowerCase()}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** Along its rows and straight up between them. */
const wayOf = (way: PromisedWay, left: number, y: (row: number) => number) =>
  way.treads
    .map((t, i) => `${i === 0 ? "M" : "V"}${i === 0 ? `${left + t.x} ` : ""}${y(t.row)}H${left + t.until}`)
    .join("");

const ink = (done: boolean, second: boolean) => (done && !second ? "var(--on-ink)" : "var(--ink)");

/** Beside the middle of the day, on the side with more room. */
const cardPlace = (share: number) =>
  share < 0.5 ? { left: `${100 * share}%` } : { right: `${100 * (1 - share)}%` };

function spoken(plan: Plan, catalogue: Catalogue, forStudent: boolean): string {
  const steps = plan.route.map((step) => {
    const rung = catalogue.rungs.find((r) => r.id === step.rung)?.label;
    const chance =
      step.chance != null && (!forStudent || step.chance > WORTH_SHOWING)
        ? `, ${Math.round(step.chance * 100)} % through by the next lesson`
        : "";
    return `${rung}: ${catalogue.drills[step.drill]?.name}${chance}`;
  });
  return `The climb. ${steps.join("; ")}.`;
}
