import type { PlanDay, Wire } from "@/api/types";

export type Ticks = Wire["PaperEntry"];

export const NOTHING: Ticks = { ticks: {}, feel: undefined, pain: undefined };

/** Every set ticked as planned; what a scored set gave stays as it is, for only the paper knows. */
export function asPlanned(day: PlanDay, entry: Ticks): Ticks {
  const sets = day.blocks.flatMap((b, i) => (b.kind === "check" ? [] : [[i, b.sets]]));
  return { ...entry, ticks: { ...entry.ticks, ...Object.fromEntries(sets) } };
}

/** The number of one block; null takes it back. */
export function ticked(entry: Ticks, block: number, count: number | null): Ticks {
  const ticks = { ...entry.ticks };
  if (count === null) delete ticks[block];
  else ticks[block] = count;
  return { ...entry, ticks };
}

/** Nothing entered at all is no entry. */
export function isBlank(entry: Ticks): boolean {
  return Object.keys(entry.ticks).length === 0 && !entry.feel && !entry.pain;
}
