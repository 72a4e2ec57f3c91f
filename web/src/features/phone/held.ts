import type { Me, PlanBlock, PlanDay } from "@/api/types";
import { ofARound } from "../plan/dose";
import type { Kept } from "./outbox";
import { marksOf } from "./session";

type Running = NonNullable<Me["plan"]>["plan"];
type Step = Running["route"][number];
/** @property lesser whether it was struck without a real ball: then it passes no gate */
type Scored = { fault: string; rung: string; on: string; good: number; of: number; lesser: boolean };

const FULL_SET = 10;
const LESSER = ["brush", "clip", "soft-ball"];

/** Checks on this phone that the server has not answered for yet. */
export function scoredIn(kept: Kept[]): Scored[] {
  return kept
    .filter((k) => k.state !== "sent")
    .flatMap(({ entry }) =>
      entry.blocks
        .filter((b) => b.kind === "check" && !b.aside && marksOf(entry, b.block).length >= FULL_SET)
        .map(({ block, fault, rung, form }) => {
          const marks = marksOf(entry, block);
          return {
            fault,
            rung,
            on: entry.day,
            good: marks.replaceAll("-", "").length,
            of: marks.length,
            lesser: LESSER.includes(form ?? ""),
          };
        }),
    );
}

/**
 * A day without a signal by the same rule as with one: no work above a gate that a check left open. What the day has above
 * it gives way to the latest day's work on that gate's rung; what the coach locked stays, and so do the first few balls. Of the
 * tries above a gate whose last check was not good one is left.
 */
export function held(day: PlanDay, plan: Running, rungs: Me["rungs"], scored: Scored[]): PlanDay {
  const setsOf = (step: Step) => [
    ...(rungs.find((r) => r.fault === step.fault && r.rung === step.rung)?.sets ?? []),
    ...scored.filter((s) => s.fault === step.fault && s.rung === step.rung),
  ];
  const passed = (step: Step) => {
    const is = (s: { fault: string; rung: string }) => s.fault === step.fault && s.rung === step.rung;
    const known = rungs.find(is);
    if (known?.standing === "passed") return true;
    // What the server knows it has judged; only a set of this phone can pass it now, after a step back from none before.
    const own = scored.filter(is);
    if (own.length === 0 || own.at(-1)!.lesser) return false;
    const { good, of, days, coachSigns } = step.gate!;
    const counting = known && known.standing !== "stay" ? own : setsOf(step);
    const last = counting.slice(-days);
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
  const lastWasBad = (step: Step) => {
    const last = setsOf(step).at(-1);
    return last !== undefined && (last.good / last.of) * step.gate!.of < step.gate!.good;
  };
  const worked = new Set<string>();
  const tried = new Set<string>();
  const blocks = day.blocks.flatMap((block) => {
    const firstBalls = block.kind === "main" && worked.has(block.fault);
    if (block.kind === "main") worked.add(block.fault);
    const gate = openGate(block.fault);
    if (!gate || block.locked || firstBalls || setsOf(gate).length === 0) return [block];
    if (block.kind === "try") {
      const more = tried.has(block.fault) && lastWasBad(gate);
      tried.add(block.fault);
      return more ? [] : [block];
    }
    const above = place(block.fault, block.rung) > place(gate.fault, gate.rung);
    // A round is played all the same; what was to be work of it is a try.
    if (above && day.place === "course") return ofARound(block) ? [{ ...block, kind: "try" }] : [];
    return [(above && instead(block, gate.rung)) || block];
  });
  return { ...day, blocks };
}
