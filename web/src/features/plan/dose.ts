import type { PlanBlock, PlanDay } from "@/api/types";

/** What a block is for. */
export const KIND: Record<string, string> = { refresh: "Refresh", main: "Main", check: "Check", try: "Try" };

/** What is struck, by form, for a number of them. */
const STRUCK: Record<string, string> = {
  brush: "brushed",
  clip: "tees clipped",
  "soft-ball": "soft balls",
};

/** Whether its swings are spread over a round: the game is the rest between them. */
export const ofARound = (block: PlanBlock) => block.form === "course" && block.restSeconds === 0;

/** How long a day's practice takes; a round takes as long as it takes. */
export const howLong = (day: PlanDay) =>
  day.blocks.some(ofARound) ? "a round" : `${Math.round(day.minutes)} min`;

/** Sets and reps in words. */
export function dose(block: PlanBlock): string {
  if (ofARound(block)) return `${block.sets} swings over the round`;
  if (block.kind === "check") {
    return block.strikes === 0 ? "ten scored reps" : `ten scored ${STRUCK[block.form] ?? "balls"}`;
  }
  const sets =
    block.sets === 1 ? `one set of ${block.repsPerSet}` : `${block.sets} sets of ${block.repsPerSet}`;
  if (block.strikes === 0) return sets;
  const struck = STRUCK[block.form] ?? (block.strikes === 1 ? "ball" : "balls");
  return `${sets}, ${block.strikes} ${struck}`;
}

/** Percent of full speed, in words a student knows; nothing where nothing is swung. */
export function speedOf(block: PlanBlock): string {
  if (block.speed === 0) return "";
  return block.speed >= 100 ? "full speed" : `${block.speed} % speed`;
}

/** The half-step and what it asks for; empty for the plain form. */
export function halfStepOf(block: PlanBlock): string {
  return block.conditionLabel ? `${block.conditionLabel}: ${block.conditionDo}` : "";
}

/** Whether two days hold the same work. */
export function sameWork(a: PlanBlock[], b: PlanBlock[]): boolean {
  return (
    a.length === b.length &&
    a.every((block, i) => {
      const other = b[i]!;
      return (
        [
          "drill",
          "joined",
          "rung",
          "kind",
          "sets",
          "repsPerSet",
          "strikes",
          "condition",
          "form",
          "contrast",
          "locked",
        ] as const
      ).every((field) => block[field] === other[field]);
    })
  );
}
