import type { Catalogue, Plan, PlanDay } from "@/api/types";
import { daysBetween } from "@/ui/dates";

/** The days in weeks counted from the plan's first day: one page each. */
export function weeksOf(plan: Plan, from: string): PlanDay[][] {
  const weeks: PlanDay[][] = [];
  for (const day of plan.days) {
    const week = Math.floor(daysBetween(from, day.date) / 7);
    (weeks[week] ??= []).push(day);
  }
  return weeks.filter(Boolean);
}

/** What goes in the pocket: one thing before the shot, one after a bad one. */
export type CueCard = { drill: string; before: string; after: string };

/** Of the drills in the plan the one nearest to the game that needs nothing underfoot; else the highest. */
export function cueCard(plan: Plan, catalogue: Catalogue): CueCard | undefined {
  const first = plan.route[0]?.fault;
  const rung = (id: string) => catalogue.rungs.findIndex((r) => r.id === id);
  const worked = plan.days
    .flatMap((d) => d.blocks)
    .filter((b) => b.kind === "main" && b.fault === first && catalogue.drills[b.drill])
    .sort((a, b) => rung(b.rung) - rung(a.rung));
  const bare = worked.find((b) => catalogue.drills[b.drill]?.kit.length === 0);
  const block = bare ?? worked[0];
  const drill = block && catalogue.drills[block.drill];
  return drill && { drill: drill.name, before: drill.cue, after: drill.feel };
}
