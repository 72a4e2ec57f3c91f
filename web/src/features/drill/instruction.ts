import type { Catalogue, Drill, PlanBlock } from "@/api/types";

/** What to do in this block; where the rung is behind and only kept up, the drill's harder form. */
export function instruction(drill: Drill | undefined, block: PlanBlock): string {
  const variation = drill?.variations[block.rung] ?? "";
  return block.harder && drill ? `${variation} Harder now: ${drill.harder}` : variation;
}

/** The usual mistake, and what helps against it. */
export const wrongAndRight = (drill: Drill) => [drill.mistake, drill.fix].filter(Boolean).join(" ");

/** What a block is called: its drill, and what is done at once with it. */
export function nameOf(block: PlanBlock, catalogue: Catalogue): string {
  const name = catalogue.drills[block.drill]?.name ?? block.drill;
  const partner = partnerOf(block, catalogue);
  return partner ? `${name} with ${partner.name.toLowerCase()}` : name;
}

export function partnerOf(block: PlanBlock, catalogue: Catalogue): Drill | undefined {
  return block.joined ? catalogue.drills[block.joined] : undefined;
}

/** What the second drill adds: its set-up and what to think of, for the arms and the club do what the first one says. */
export function atOnce(block: PlanBlock, catalogue: Catalogue): string {
  const partner = partnerOf(block, catalogue);
  return partner ? `At once, ${partner.name.toLowerCase()}: ${partner.setUp} ${partner.cue}.` : "";
}
