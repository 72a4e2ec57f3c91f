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
  /** What the club meets; none where nothing is struck. */
  form: string;
  /** The half-step in a few words; empty for the plain form. */
  halfStep: string;
  home: boolean;
  done: boolean;
  locked: boolean;
};

export type Landing = { row: number; fault: string; chance: number | null; x: number };

/** A drill's name over the first day of its step. */
export type Name = { row: number; fault: string; drill: string; x: number };

export type Stairs = {
  rows: string[];
  days: { date: string; x: number; planned: boolean; home: boolean; round: boolean }[];
  dayWidth: number;
  treads: Tread[];
  landings: Landing[];
  names: Name[];
  promised: PromisedWay[];
};

/** What was promised of a gate when the plan was handed over: from which day on its rung would be worked. */
export type Promised = { fault: string; rung: string; from?: string };

/** The climb of one fault as it was promised: from where to where it stays on a row. */
export type PromisedWay = { fault: string; treads: { row: number; x: number; until: number }[] };

const RUNGS = ["prepare", "feel", "rehearse", "short", "build", "full", "transfer"];

/** The staircase of a plan: days across, rungs upwards. Main blocks are treads, gates are landings behind the last. */
export function stairs(
  plan: Plan,
  from: string,
  until: string,
  practised: string[],
  width: number,
  promised: Promised[] = [],
): Stairs {
  const begun = promised.filter((p) => p.from !== undefined);
  const used = new Set([
    ...begun.map((p) => p.rung),
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
    return {
      date,
      x: i * dayWidth,
      planned: day !== undefined,
      home: day?.place === "home",
      round: day?.place === "course",
    };
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
      form: block.form,
      halfStep: block.conditionLabel ?? "",
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
  const ways = [...new Set(begun.map((p) => p.fault))].map((fault) => {
    const steps = begun.filter((p) => p.fault === fault);
    const at = (p: Promised | undefined) =>
      p ? Math.max(0, daysBetween(from, p.from!)) * dayWidth : count * dayWidth;
    return {
      fault,
      treads: steps.map((p, i) => ({ row: rows.indexOf(p.rung), x: at(p), until: at(steps[i + 1]) })),
    };
  });
  return { rows, days, dayWidth, treads, landings, names: namesOf(treads), promised: ways };
}

/** Each drill once per row, over the first of its treads. */
function namesOf(treads: Tread[]): Name[] {
  const names: Name[] = [];
  for (const { row, fault, drill, x } of treads) {
    if (!names.some((n) => n.row === row && n.drill === drill)) names.push({ row, fault, drill, x });
  }
  return names;
}

/** Where each name stands so that none lies over another or runs out at the right; those without room are left out. */
export function placed(names: Name[], textOf: (drill: string) => string, perLetter: number, width: number) {
  const ends = new Map<number, number>();
  return [...names]
    .sort((a, b) => a.row - b.row || a.x - b.x)
    .flatMap((name) => {
      const text = textOf(name.drill);
      const long = text.length * perLetter;
      const x = Math.min(Math.max(name.x, ends.get(name.row) ?? 0), Math.max(0, width - long));
      if (x < (ends.get(name.row) ?? 0)) return [];
      ends.set(name.row, x + long + perLetter);
      return [{ ...name, x, text }];
    });
}
