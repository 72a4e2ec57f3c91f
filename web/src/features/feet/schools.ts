import type { Feet } from "@/api/types";

export type Deviation = Feet["before"][number];

/** A reading against both schools, in words. */
export function deviationSaid(deviation: Deviation, own: string, other: string): string {
  const beyond = Math.round(Math.abs(deviation.beyond));
  const side = deviation.beyond > 0 ? "above" : "below";
  const noise = deviation.told || deviation.beyond === 0 ? "" : " Less than this source can tell.";
  switch (deviation.kind) {
    case "within":
      return own === other ? "Within." : "Within both.";
    case "difference-of-school":
      return deviation.beyond === 0
        ? `As you teach; "${other}" would call it a fault.`
        : `${beyond} ${side} yours, as wanted by "${other}": only a difference of school.${noise}`;
    case "outside-both":
      return `${beyond} ${side}${own === other ? "" : " yours, outside both"}: yet no fault in every school.${noise}`;
    default:
      return `${beyond} ${side}: a fault in every school.${noise}`;
  }
}
