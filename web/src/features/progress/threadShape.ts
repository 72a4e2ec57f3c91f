import type { Thread } from "@/api/types";
import { daysBetween } from "@/calendar/dates";

export type Box = { width: number; left: number; right: number; top: number; bottom: number };

export type Series = Thread["series"][number];
export type Between = Thread["between"][number];
export type DayPoint = Between["points"][number] & { x: number };
export type Point = Thread["knots"][number]["before"][string];
export type Knot = { x: number; before?: Point; after?: Point; lessonId: string; heldOn: string };
export type Strand = {
  from: number;
  to: number;
  width: number;
  doneDays: number;
  plannedDays: number;
  doneReps: number;
  plannedReps: number;
};

const THICKEST = 16;
const REPS_AT_THICKEST = 900;

/** Where each lesson stands on the time axis, and how thick the practice between is drawn. */
export function threadShape(thread: Thread, seriesId: string, today: string, box: Box, between?: Between) {
  const first = thread.knots[0]!.heldOn;
  const lastKnot = thread.knots[thread.knots.length - 1]!;
  const end = [today, lastKnot.heldOn].sort()[1]!;
  const length = Math.max(7, daysBetween(first, end));
  const x = (day: string) =>
    box.left + (daysBetween(first, day) / length) * (box.width - box.left - box.right);
  const knots: Knot[] = thread.knots.map((k) => ({
    x: x(k.heldOn),
    before: k.before[seriesId],
    after: k.after[seriesId],
    lessonId: k.lessonId,
    heldOn: k.heldOn,
  }));
  const strands: Strand[] = thread.knots.flatMap((k, i) => {
    if (!k.done) return [];
    const next = thread.knots[i + 1]?.heldOn ?? end;
    return [
      {
        ...k.done,
        from: x(k.heldOn),
        to: x(next),
        width:
          k.done.doneReps === 0 ? 0 : 2 + (THICKEST - 2) * Math.min(1, k.done.doneReps / REPS_AT_THICKEST),
      },
    ];
  });
  const days: DayPoint[] = (between?.points ?? []).map((point) => ({ ...point, x: x(point.day) }));
  return { knots, strands, days };
}

/** A round scale around all values, their intervals and the target. */
export function scaleFor(
  knots: Knot[],
  series?: Series,
  days: DayPoint[] = [],
): { low: number; high: number } {
  const seen = [...knots.flatMap((k) => [k.before, k.after]), ...days];
  const points = seen.flatMap((p) => (p ? [p.low, p.high] : []));
  if (points.length === 0) return { low: 0, high: 1 };
  const edges = [series?.target?.low, series?.target?.high].filter((edge) => edge != null);
  const values = [...points, ...edges];
  const step = series?.unit === "%" || days.length > 0 ? 10 : 2;
  const low = Math.floor(Math.min(...values) / step) * step;
  const high = Math.ceil(Math.max(...values) / step) * step;
  return series?.unit === "%" || days.length > 0
    ? { low: Math.max(0, low), high: Math.min(100, high) }
    : { low, high };
}

/** The outline of the intervals of the first balls, from lesson to lesson and back. */
export function bandOf(knots: Knot[], y: (value: number) => number): string {
  const seen = knots.filter((k) => k.before);
  if (seen.length < 2) return "";
  const over = seen.map((k) => `${k.x} ${y(k.before!.high)}`);
  const under = seen.map((k) => `${k.x} ${y(k.before!.low)}`).reverse();
  return `M${[...over, ...under].join(" L")} Z`;
}

/** The series with the most points; balls first, they are what the student came with. */
export function mostTold(thread: Thread): string {
  const told = (id: string) => thread.knots.filter((k) => k.before[id]).length;
  const worst = (id: string) => thread.knots[0]?.before[id]?.value ?? 0;
  return (
    [...thread.series]
      .filter((s) => s.better === "lower" || (s.better == null && s.target != null))
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
