import { shortDay } from "@/calendar/dates";
import {
  bandOf,
  type Between,
  type Box,
  type DayPoint,
  type Knot,
  scaleFor,
  type Series,
  threadShape,
} from "./threadShape";
import type { Thread } from "@/api/types";
import { inDigits } from "@/ui/number";
import { strandLabel } from "./strandLabel";

const BOX: Box = { width: 1100, left: 60, right: 70, top: 26, bottom: 226 };
const STRAND_Y = 262;
const HEIGHT = 320;
/** Under so many an interval is wider than anything it could tell. */
export const FEW = 10;

/** Lessons as knots, the practice between as a strand, one tally or measure over it; drawn from data alone. */
export function ThreadDrawing({
  thread,
  series,
  between,
  today,
  chosen,
  onChoose,
}: {
  thread: Thread;
  series?: Series;
  /** What practice tells, day by day, in place of a series of lessons. */
  between?: Between;
  today: string;
  /** The lesson that is looked at. */
  chosen?: string;
  onChoose?: (lessonId: string) => void;
}) {
  const { knots, strands, days } = threadShape(thread, series?.id ?? "", today, BOX, between);
  const scale = scaleFor(knots, series, days);
  const unit = series?.unit ?? between?.unit;
  const y = (value: number) =>
    BOX.bottom - ((value - scale.low) / (scale.high - scale.low || 1)) * (BOX.bottom - BOX.top);
  return (
    <svg
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${BOX.width} ${HEIGHT}`}
      className="w-full"
      role={onChoose ? "group" : "img"}
      aria-label={
        between
          ? `${between.label}: ${between.points.map((p) => `${shortDay(p.day)} ${pointSaid(p, between.unit)}`).join("; ")}`
          : `${series?.label ?? "Lessons"}: ${spoken(knots, series?.unit ?? "")}`
      }
    >
      {series?.target && <Target target={series.target} scale={scale} y={y} unit={series.unit} />}
      {unit &&
        [scale.low, (scale.low + scale.high) / 2, scale.high].map((value) => (
          <g key={value}>
            <line x1={BOX.left - 10} x2={BOX.width - 20} y1={y(value)} y2={y(value)} stroke="var(--line)" />
            <text x={BOX.left - 16} y={y(value) + 5} textAnchor="end" fontSize="14" fill="var(--soft)">
              {value}
            </text>
          </g>
        ))}
      {unit && (
        <text x={BOX.left - 16} y={14} textAnchor="end" fontSize="14" fill="var(--soft)">
          {unit}
        </text>
      )}
      <path d={bandOf(knots, y)} fill="var(--lead)" opacity="0.12" />
      <line x1={BOX.left} x2={BOX.width - BOX.right} y1={STRAND_Y} y2={STRAND_Y} stroke="var(--line)" />
      {strands.map((s) => (
        <g key={s.from}>
          {s.width > 0 && (
            <line
              x1={s.from}
              x2={s.to}
              y1={STRAND_Y}
              y2={STRAND_Y}
              stroke="var(--lead)"
              strokeWidth={s.width}
              opacity="0.75"
            />
          )}
          <text
            x={(s.from + s.to) / 2}
            y={STRAND_Y - 14}
            textAnchor="middle"
            fontSize="14"
            fill="var(--soft)"
          >
            {strandLabel(s, s.to - s.from)}
          </text>
        </g>
      ))}
      <Kept knots={knots} y={y} />
      {days.map((day) => (
        <DayMark key={day.day} point={day} y={y} />
      ))}
      {knots.map((knot) => (
        <KnotMark
          key={knot.lessonId}
          knot={knot}
          y={y}
          chosen={knot.lessonId === chosen}
          onChoose={onChoose && (() => onChoose(knot.lessonId))}
        />
      ))}
    </svg>
  );
}

/** Where the measure should lie, as a band across the whole thread. */
function Target({
  target,
  scale,
  y,
  unit,
}: {
  target: NonNullable<Series["target"]>;
  scale: { low: number; high: number };
  y: (value: number) => number;
  unit: string;
}) {
  const top = y(Math.min(target.high ?? scale.high, scale.high));
  const bottom = y(Math.max(target.low ?? scale.low, scale.low));
  return (
    <g>
      <rect
        x={BOX.left - 10}
        width={BOX.width - 10 - BOX.left}
        y={top}
        height={Math.max(0, bottom - top)}
        fill="var(--tint)"
        stroke="var(--strong-line)"
        strokeDasharray="5 4"
      />
      {/* Where a thread begins there is the least to stand in its way: what is wanted is not there yet. */}
      <text x={BOX.left - 4} y={bottom - 6} fontSize="13" fill="var(--soft)">
        {targetSaid(target, unit)}
      </text>
    </g>
  );
}

function targetSaid({ low, high }: NonNullable<Series["target"]>, unit: string): string {
  if (low == null) return `wanted: up to ${inDigits(high ?? 0)} ${unit}`;
  if (high == null) return `wanted: at least ${inDigits(low)} ${unit}`;
  return `wanted: ${inDigits(low)} to ${inDigits(high)} ${unit}`;
}

/** The line from one lesson's before to the next one's: what was kept. */
function Kept({ knots, y }: { knots: Knot[]; y: (v: number) => number }) {
  const points = knots.filter((k) => k.before).map((k) => `${k.x},${y(k.before!.value)}`);
  return <polyline points={points.join(" ")} fill="none" stroke="var(--lead)" strokeWidth="2.5" />;
}

/** A day of practice: smaller than a lesson, and the fainter the less is behind it. */
function DayMark({ point, y }: { point: DayPoint; y: (v: number) => number }) {
  return (
    <g opacity={point.of < FEW ? 0.6 : 1}>
      <line
        x1={point.x}
        x2={point.x}
        y1={y(point.low)}
        y2={y(point.high)}
        stroke="var(--trail)"
        strokeWidth="3"
        opacity="0.35"
      />
      <rect
        x={point.x - 4}
        y={y(point.value) - 4}
        width="8"
        height="8"
        fill={point.of < FEW ? "var(--sheet)" : "var(--trail)"}
        stroke="var(--trail)"
        strokeWidth="2"
      />
    </g>
  );
}

function KnotMark({
  knot,
  y,
  chosen,
  onChoose,
}: {
  knot: Knot;
  y: (v: number) => number;
  chosen: boolean;
  onChoose?: () => void;
}) {
  const { before, after, x } = knot;
  return (
    <g>
      {chosen && <line x1={x} x2={x} y1={BOX.top} y2={STRAND_Y} stroke="var(--ink)" strokeDasharray="2 4" />}
      {before && (
        <>
          <line
            x1={x}
            x2={x}
            y1={y(before.low)}
            y2={y(before.high)}
            stroke="var(--lead)"
            strokeWidth="5"
            opacity="0.3"
          />
          {after && (
            <line
              x1={x}
              x2={x + 22}
              y1={y(before.value)}
              y2={y(after.value)}
              stroke="var(--trail)"
              strokeWidth="2"
              strokeDasharray="4 3"
            />
          )}
          <circle cx={x} cy={y(before.value)} r="7" fill="var(--lead)" />
          {onChoose && <Value x={x} y={y(before.value)} value={before.value} halo />}
          <Value x={x} y={y(before.value)} value={before.value} />
        </>
      )}
      {after && (
        <circle
          cx={x + 22}
          cy={y(after.value)}
          r="6"
          fill="var(--sheet)"
          stroke="var(--trail)"
          strokeWidth="2.5"
        />
      )}
      <circle
        cx={x}
        cy={STRAND_Y}
        r="9"
        fill={chosen ? "var(--ink)" : "var(--sheet)"}
        stroke="var(--ink)"
        strokeWidth="2.5"
      />
      <text
        x={x}
        y={STRAND_Y + 32}
        textAnchor="middle"
        fontSize="15"
        fontWeight={chosen ? "700" : undefined}
        fill="var(--ink)"
      >
        {shortDay(knot.heldOn)}
      </text>
      {onChoose && (
        <rect
          x={x - 30}
          y="0"
          width="76"
          height={HEIGHT}
          fill="transparent"
          role="button"
          tabIndex={0}
          aria-pressed={chosen}
          aria-label={`Readings of ${shortDay(knot.heldOn)}`}
          className="knot cursor-pointer"
          onClick={onChoose}
          onKeyDown={(e) => (e.key === "Enter" || e.key === " ") && (e.preventDefault(), onChoose())}
        />
      )}
    </g>
  );
}

/** The figure beside a point; on the screen over a halo that lines do not cross. */
function Value({ x, y, value, halo = false }: { x: number; y: number; value: number; halo?: boolean }) {
  // To the left, where the line comes from; at the very begin the scale stands there.
  const first = x < BOX.left + 20;
  return (
    <text
      x={first ? x + 11 : x - 11}
      y={y - 9}
      textAnchor={first ? "start" : "end"}
      fontSize="15"
      fontWeight="700"
      fill="var(--ink)"
      {...(halo && { stroke: "var(--paper)", strokeWidth: 5, "aria-hidden": true })}
    >
      {inDigits(value)}
    </text>
  );
}

function spoken(knots: Knot[], unit: string): string {
  return knots
    .map(
      (k) => `${shortDay(k.heldOn)} before ${pointSaid(k.before, unit)}, after ${pointSaid(k.after, unit)}`,
    )
    .join("; ");
}

export function pointSaid(point: { value: number } | undefined, unit = ""): string {
  return point ? `${inDigits(point.value)} ${unit}` : "–";
}
