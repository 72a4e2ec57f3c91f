import { useState } from "react";
import { useNavigate } from "react-router";
import type { Thread } from "@/api/types";
import { shortDay, today } from "@/ui/dates";
import { type Box, type Knot, scaleFor, threadShape } from "./threadShape";

const BOX: Box = { width: 1100, left: 60, right: 70, top: 26, bottom: 226 };
const STRAND_Y = 262;
const HEIGHT = 320;

/** Lessons as knots, the practice between as a strand, one tally or measure over it. */
export function ThreadPicture({ thread }: { thread: Thread }) {
  const [series, setSeries] = useState(() => mostTold(thread));
  const chosen = thread.series.find((s) => s.id === series);
  const { knots, strands } = threadShape(thread, series, today(), BOX);
  const scale = scaleFor(knots, chosen?.unit ?? "");
  const y = (value: number) =>
    BOX.bottom - ((value - scale.low) / (scale.high - scale.low || 1)) * (BOX.bottom - BOX.top);
  const navigate = useNavigate();
  return (
    <figure className="border-line border-y py-3">
      <figcaption className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2>The thread</h2>
        {thread.series.length > 0 && (
          <label className="flex items-center gap-2">
            <span className="text-soft">showing</span>
            <select value={series} onChange={(e) => setSeries(e.target.value)}>
              {thread.series.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.label}
                </option>
              ))}
            </select>
          </label>
        )}
        <span className="text-soft text-sm">
          ● before a lesson&ensp;○ after it&ensp;bars: 95 % interval&ensp;strand: how much was practised
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${BOX.width} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={`${chosen?.label ?? "Lessons"}: ${spoken(knots, chosen?.unit ?? "")}`}
      >
        {chosen &&
          [scale.low, (scale.low + scale.high) / 2, scale.high].map((value) => (
            <g key={value}>
              <line x1={BOX.left - 10} x2={BOX.width - 20} y1={y(value)} y2={y(value)} stroke="var(--line)" />
              <text x={BOX.left - 16} y={y(value) + 5} textAnchor="end" fontSize="14" fill="var(--soft)">
                {value}
              </text>
            </g>
          ))}
        {chosen && (
          <text x={BOX.left - 16} y={14} textAnchor="end" fontSize="14" fill="var(--soft)">
            {chosen.unit}
          </text>
        )}
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
            {s.to - s.from > 90 && (
              <text
                x={(s.from + s.to) / 2}
                y={STRAND_Y - 14}
                textAnchor="middle"
                fontSize="14"
                fill="var(--soft)"
              >
                {s.doneDays} of {s.plannedDays} days, {s.doneReps} reps
              </text>
            )}
          </g>
        ))}
        <Kept knots={knots} y={y} />
        {knots.map((knot) => (
          <KnotMark
            key={knot.lessonId}
            knot={knot}
            y={y}
            onOpen={() => navigate(`/lessons/${knot.lessonId}`)}
          />
        ))}
      </svg>
      <details className="no-print">
        <summary className="text-soft w-fit cursor-pointer py-1 text-sm">As a table</summary>
        <table className="border-collapse text-left">
          <thead>
            <tr>
              {["Lesson", "Before", "After", "Practised since"].map((h) => (
                <th key={h} className="text-soft pr-6 text-sm font-normal">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {thread.knots.map((k) => (
              <tr key={k.lessonId}>
                <td className="pr-6">{shortDay(k.heldOn)}</td>
                <td className="pr-6">{value(k.before[series], chosen?.unit)}</td>
                <td className="pr-6">{value(k.after[series], chosen?.unit)}</td>
                <td>
                  {k.done ? `${k.done.doneDays} of ${k.done.plannedDays} days, ${k.done.doneReps} reps` : "–"}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

/** The line from one lesson's before to the next one's: what was kept. */
function Kept({ knots, y }: { knots: Knot[]; y: (v: number) => number }) {
  const points = knots.filter((k) => k.before).map((k) => `${k.x},${y(k.before!.value)}`);
  return <polyline points={points.join(" ")} fill="none" stroke="var(--lead)" strokeWidth="2.5" />;
}

function KnotMark({ knot, y, onOpen }: { knot: Knot; y: (v: number) => number; onOpen: () => void }) {
  const { before, after, x } = knot;
  return (
    <g>
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
          <text
            x={x - 11}
            y={y(before.value) - 9}
            textAnchor="end"
            fontSize="15"
            fontWeight="700"
            paintOrder="stroke"
            stroke="var(--paper)"
            strokeWidth="5"
            fill="var(--ink)"
          >
            {round(before.value)}
          </text>
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
      <circle cx={x} cy={STRAND_Y} r="9" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2.5" />
      <text
        x={x}
        y={STRAND_Y + 32}
        textAnchor="middle"
        fontSize="15"
        fill="var(--ink)"
        className="cursor-pointer underline"
        onClick={onOpen}
      >
        {shortDay(knot.heldOn)}
      </text>
    </g>
  );
}

/** The series with the most points; balls first, they are what the student came with. */
function mostTold(thread: Thread): string {
  const told = (id: string) => thread.knots.filter((k) => k.before[id]).length;
  const worst = (id: string) => thread.knots[0]?.before[id]?.value ?? 0;
  return (
    [...thread.series]
      .filter((s) => s.better === "lower" || s.better == null)
      .sort(
        (a, b) =>
          told(b.id) - told(a.id) ||
          Number(b.id.includes(":")) - Number(a.id.includes(":")) ||
          worst(b.id) - worst(a.id),
      )[0]?.id ??
    thread.series[0]?.id ??
    ""
  );
}

function spoken(knots: Knot[], unit: string): string {
  return knots
    .map((k) => `${shortDay(k.heldOn)} before ${value(k.before, unit)}, after ${value(k.after, unit)}`)
    .join("; ");
}

function value(point: { value: number } | undefined, unit = ""): string {
  return point ? `${round(point.value)} ${unit}` : "–";
}

function round(number: number): string {
  return Number.isInteger(number) ? String(number) : number.toFixed(1);
}
