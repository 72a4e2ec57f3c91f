import type { Me, PlanBlock, PlanDay } from "@/api/types";
import type { Kept } from "./outbox";
import { marksOf } from "./session";

type Running = NonNullable<Me["plan"]>["plan"];
type Step = Running["route"][number];
type Scored = { fault: string; rung: string; on: string; good: number; of: number };

const FULL_SET = 10;

/** Checks on this phone that the server has not answered for yet. */
export function scoredIn(kept: Kept[]): Scored[] {
  return kept
    .filter((k) => k.state !== "sent")
    .flatMap(({ entry }) =>
      entry.blocks
        .filter((b) => b.kind === "check" && !b.aside && marksOf(entry, b.block).length >= FULL_SET)
        .map(({ block, fault, rung }) => {
          const marks = marksOf(entry, block);
          return {
            fault,
            rung,
            on: entry.day,
            good: marks.replaceAll("-", "").length,
            of: marks.length,
          };
        }),
    );
}

/**
 * A day without a signal by the same rule as with one: no work above a gate that a check left open. What the day has above
 * it gives way to the latest day's work on that gate's rung; what the coach locked stays, and so do the first few balls.
 */
export function held(day: PlanDay, plan: Running, rungs: Me["rungs"], scored: Scored[]): PlanDay {
  const setsOf = (step: Step) => [
    ...(rungs.find((r) => r.fault === step.fault && r.rung === step.rung)?.sets ?? []),
    ...scored.filter((s) => s.fault === step.fault && s.rung === step.rung),
  ];
  const passed = (step: Step) => {
    const known = rungs.find((r) => r.fault === step.fault && r.rung === step.rung);
    if (known?.standing === "passed") return true;
    const { good, of, days, coachSigns } = step.gate!;
    const last = setsOf(step).slice(-days);
    return (
      !coachSigns &&
      new Set(last.map((s) => s.on)).size === days &&
      last.every((s) => (s.good / s.of) * of >= good)
    );
  };
  const openGate = (fault: string) => plan.route.find((s) => s.fault === fault && s.gate && !passed(s));
  const place = (fault: string, rung: string) =>
    plan.route.findIndex((s) => s.fault === fault && s.rung === rung);
  const instead = (block: PlanBlock, rung: string) => {
    const earlier = plan.days.filter((d) => d.date < day.date).reverse();
    const there = [...earlier.filter((d) => d.place === day.place), ...earlier];
    return there
      .flatMap((d) => d.blocks)
      .find((b) => b.fault === block.fault && b.rung === rung && b.kind === block.kind);
  };
  const worked = new Set<string>();
  const blocks = day.blocks.map((block) => {
    const firstBalls = block.kind === "main" && worked.has(block.fault);
    if (block.kind === "main") worked.add(block.fault);
    const gate = openGate(block.fault);
    if (!gate || block.locked || firstBalls || setsOf(gate).length === 0) return block;
    const above = place(block.fault, block.rung) > place(gate.fault, gate.rung);
    return (above && instead(block, gate.rung)) || block;
  });
  return { ...day, blocks };
}
