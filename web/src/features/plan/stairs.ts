import type { Plan } from "@/api/types";
import { daysBetween, plusDays } from "@/calendar/dates";

export type Tread = {
  date: string;
  x: number;
  width: number;
  /** Row from the bottom, 0 the lowest rung. */
  row: number;
  fault: string;
  drill: string;
  rung: string;
  reps: number;
  balls: number;
  home: boolean;
  done: boolean;
  locked: boolean;
};

export type Landing = { row: number; fault: string; chance: number | null; x: number };

export type Stairs = {
  rows: string[];
  days: { date: string; x: number; planned: boolean; home: boolean }[];
  dayWidth: number;
  treads: Tread[];
  landings: Landing[];
};

const RUNGS = ["prepare", "feel", "rehearse", "short", "build", "full", "transfer"];

/** The staircase of a plan: days across, rungs upwards. Main blocks are treads, gates are landings behind the last. */
export function stairs(plan: Plan, from: string, until: string, practised: string[], width: number): Stairs {
  const used = new Set([
    ...plan.route.map((s) => s.rung),
    ...plan.days.flatMap((d) => d.blocks.filter((b) => b.kind === "main").map((b) => b.rung)),
  ]);
  const rows = RUNGS.filter((r) => used.has(r));
  const count = Math.max(1, daysBetween(from, until));
  const dayWidth = width / count;
  const planned = new Map(plan.days.map((d) => [d.date, d]));
  const days = Array.from({ length: count }, (_, i) => {
    const date = plusDays(from, i);
    const day = planned.get(date);
    return { date, x: i * dayWidth, planned: day !== undefined, home: day?.place === "home" };
  });
  const treads: Tread[] = plan.days.flatMap((day) => {
    const mains = day.blocks.filter((b) => b.kind === "main");
    const x = daysBetween(from, day.date) * dayWidth;
    return mains.map((block, i) => ({
      date: day.date,
      x: x + (i * dayWidth) / mains.length,
      width: dayWidth / mains.length,
      row: rows.indexOf(block.rung),
      fault: block.fault,
      drill: block.drill,
      rung: block.rung,
      reps: block.sets * block.repsPerSet,
      balls: block.balls,
      home: day.place === "home",
      done: practised.includes(day.date),
      locked: block.locked,
    }));
  });
  const landings: Landing[] = plan.route
    .filter((step) => step.gate)
    .map((step) => {
      const on = treads.filter((t) => t.fault === step.fault && t.rung === step.rung);
      return {
        row: rows.indexOf(step.rung),
        fault: step.fault,
        chance: step.chance ?? null,
        x: on.length > 0 ? Math.max(...on.map((t) => t.x + t.width)) : width,
      };
    });
  return { rows, days, dayWidth, treads, landings };
}
