import type { Pose } from "./motion";
import { add, cross, dot, length, sub, times, unit, UP, type Vec } from "./vec";

/** Where the load is drawn on the ground: a quarter of a sole from above, and its load in percent of the weight. */
export type Glow = { id: string; lead: boolean; corners: Vec[]; load: number };

const HALF_WIDTH = 8;

export function glows(pose: Pose): Glow[] {
  return ["lead", "trail"].flatMap((side, foot) => {
    const heel = pose.points[`${side}-heel`]!;
    const toe = pose.points[`${side}-toe`]!;
    const flat: Vec = [toe[0] - heel[0], 0, toe[2] - heel[2]];
    const along = unit(flat);
    const long = Math.max(14, length(flat));
    const other = pose.points[`${side === "lead" ? "trail" : "lead"}-heel`]!;
    const across0 = cross(along, UP);
    const inwards = dot(sub(other, heel), across0) > 0 ? across0 : times(across0, -1);
    const base: Vec = [toe[0] - along[0] * long, 0.15, toe[2] - along[2] * long];
    const at = (t: number, w: number): Vec =>
      add(add(base, times(along, t * long)), times(inwards, w * HALF_WIDTH));
    const lifted = Math.min(heel[1], toe[1]);
    return [0, 1, 2, 3].map((quarter) => {
      const front = quarter < 2;
      const inner = quarter % 2 === 0;
      const [t0, t1] = front ? [0.5, 1.3] : [-0.3, 0.5];
      const w = inner ? 1 : -1;
      const wide = front ? 1 : 0.8;
      return {
        id: `${side}-${quarter}`,
        lead: side === "lead",
        corners: [
          at(t0, 0),
          at(t0, w * (front ? 0.95 : 0.7)),
          at(t1 * 0.6 + t0 * 0.4, w * wide),
          at(t1, w * (front ? 0.6 : 0.45)),
          at(t1, 0),
        ],
        load: lifted > 2 ? 0 : pose.loads[foot * 4 + quarter]!,
      };
    });
  });
}
