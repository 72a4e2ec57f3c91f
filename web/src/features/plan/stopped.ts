import type { PlanDay, StoredPlan } from "@/api/types";

/** Whether a drill still stands on a day to come although it hurt. */
export function isStopped(
  stored: Pick<StoredPlan, "stopped" | "today">,
  drill: string,
  date: string,
): boolean {
  return date >= stored.today && stored.stopped.some((s) => s.drill === drill);
}

/** The days to come on which something stands that hurt. */
export function stoppedDays(stored: StoredPlan): PlanDay[] {
  return stored.plan.days.filter((day) => day.blocks.some((b) => isStopped(stored, b.drill, day.date)));
}
