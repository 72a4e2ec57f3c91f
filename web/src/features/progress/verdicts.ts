import { inDigits } from "@/ui/number";
import type { Progress } from "@/api/types";

export type Change = Progress["changes"][number];
type Comparison = Change["comparison"];

const VERDICT: Record<string, string> = {
  better: "better",
  worse: "worse",
  "no-change": "no change worth having",
  "cannot-tell": "cannot tell yet",
};
const ORDER = ["better", "worse", "no-change", "cannot-tell"];

export const verdictSaid = (comparison: Comparison) => VERDICT[comparison.verdict] ?? comparison.verdict;

export const told = (comparison: Comparison) => comparison.verdict !== "cannot-tell";

/** How far a difference lies from none, in widths of its interval. */
const size = ({ comparison: { difference, low, high } }: Change) => Math.abs(difference) / (high - low || 1);

/** What concerns the work first, then what can be told, of these the largest. */
export function inOrder(changes: Change[]): Change[] {
  return [...changes].sort(
    (a, b) =>
      Number(b.concerns) - Number(a.concerns) ||
      ORDER.indexOf(a.comparison.verdict) - ORDER.indexOf(b.comparison.verdict) ||
      size(b) - size(a),
  );
}

/** A difference with its interval; shares of balls in per cent. */
export function differenceSaid({ comparison, unit }: Change): string {
  const balls = unit === "balls";
  const shown = (n: number) => signed(balls ? n * 100 : n);
  return `${shown(comparison.difference)} (${shown(comparison.low)} to ${shown(comparison.high)}) ${balls ? "%" : unit}`;
}

/** How far from where it should be. */
export function distanceSaid(distance: Change["distance"], unit: string): string {
  if (!distance) return "";
  const where = distance.where === "across" ? ", too uncertain to be sure" : "";
  if (distance.value === 0) return `on target${where}`;
  return `${inDigits(Math.abs(distance.value))} ${unit} ${distance.value > 0 ? "above" : "below"} target${where}`;
}

function signed(number: number): string {
  return Math.round(number * 10) > 0 ? `+${inDigits(number)}` : inDigits(number);
}
