import type { Catalogue } from "@/api/types";
import { inDigits } from "@/ui/number";
import { scaleOf, type Scales, toSaid } from "@/ui/units";

/** No number noticed is larger. */
export const MOST = 60;

export type Notice = NonNullable<Catalogue["drills"][string]["notice"]>;

/** Whether this is what a good set has; null while nothing was said. */
export function isRight(notice: Notice, said: string): boolean | null {
  if (said === "") return null;
  if (notice.unit == null) return notice.right.includes(said);
  // As the server has it: what was typed in another unit may miss the edge by what rounding takes.
  const number = Math.round(Number(said) * 10) / 10;
  return number >= (notice.from ?? 0) && number <= (notice.to ?? MOST);
}

/** What a good set has, in words. */
export function rightOf(notice: Notice, scales: Scales): string {
  if (notice.unit == null) {
    return notice.answers
      .filter((a) => notice.right.includes(a.id))
      .map((a) => a.label.toLowerCase())
      .join(", or ");
  }
  const scale = scaleOf(scales, notice.unit);
  const edge = (metric?: number | null) => inDigits(toSaid(metric ?? 0, scale));
  if (notice.from === 0) return `${edge(notice.to)} ${scale.unit} or less`;
  return (notice.to ?? MOST) >= MOST
    ? `${edge(notice.from)} ${scale.unit} or more`
    : `${edge(notice.from)} to ${edge(notice.to)} ${scale.unit}`;
}
