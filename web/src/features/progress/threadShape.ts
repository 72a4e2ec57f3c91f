import type { Thread } from "@/api/types";
import { daysBetween } from "@/ui/dates";

export type Box = { width: number; left: number; right: number; top: number; bottom: number };

type Point = { value: number; low: number; high: number; of: number };
export type Knot = { x: number; before?: Point; after?: Point; lessonId: string; heldOn: string };
export type Strand = {
  from: number;
  to: number;
  width: number;
  doneDays: number;
  plannedDays: number;
  doneReps: number;
};

const THICKEST = 16;
const REPS_AT_THICKEST = 900;

/** Where each lesson stands on the time axis, and how thick the practice between is drawn. */
export function threadShape(thread: Thread, seriesId: string, today: string, box: Box) {
  const first = thread.knots[0]!.heldOn;
  const lastKnot = thread.knots[thread.knots.length - 1]!;
  const end = [today, lastKnot.heldOn].sort()[1]!;
  const days = Math.max(7, daysBetween(first, end));
  const x = (day: string) => box.left + (daysBetween(first, day) / days) * (box.width - box.left - box.right);
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
        from: x(k.heldOn),
        to: x(next),
        width:
          k.done.doneReps === 0 ? 0 : 2 + (THICKEST - 2) * Math.min(1, k.done.doneReps / REPS_AT_THICKEST),
        doneDays: k.done.doneDays,
        plannedDays: k.done.plannedDays,
        doneReps: k.done.doneReps,
      },
    ];
  });
  return { knots, strands };
}

/** A round scale around all values and their intervals. */
export function scaleFor(knots: Knot[], unit: string): { low: number; high: number } {
  const values = knots.flatMap((k) => [k.before, k.after]).flatMap((p) => (p ? [p.low, p.high] : []));
  if (values.length === 0) return { low: 0, high: 1 };
  const step = unit === "%" ? 10 : 2;
  const low = Math.floor(Math.min(...values) / step) * step;
  const high = Math.ceil(Math.max(...values) / step) * step;
  return unit === "%" ? { low: Math.max(0, low), high: Math.min(100, high) } : { low, high };
}
