import type { Drill, PlanBlock } from "@/api/types";

/** What to do in this block; where the rung is behind and only kept up, the drill's harder form. */
export function instruction(drill: Drill | undefined, block: PlanBlock): string {
  const variation = drill?.variations[block.rung] ?? "";
  return block.harder && drill ? `${variation} Harder now: ${drill.harder}` : variation;
}

/** The usual mistake, and what helps against it. */
export const wrongAndRight = (drill: Drill) => [drill.mistake, drill.fix].filter(Boolean).join(" ");
