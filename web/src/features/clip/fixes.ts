import { POINTS, type PointName, type Points } from "./points";

/** A point that was found in the wrong place, and how far it was dragged at one picture; pixels. */
export type Fix = { at: number; point: PointName; by: [number, number] };

/** What is wrong in one picture is wrong in those around it: they go along, less the further away, seconds. */
const REACH = 0.15;
/** As sure as what was found well. */
const SURE = 0.95;

/** The points of a film with what was dragged; pictures in which nobody was seen stay empty. */
export function fixed(frames: (Points | null)[], times: number[], fixes: Fix[]): (Points | null)[] {
  return fixes.reduce(
    (all, { at, point, by }) =>
      all.map((frame, i) => {
        const apart = Math.abs(times[i]! - times[at]!) / REACH;
        if (!frame || apart >= 1) return frame;
        const part = (1 + Math.cos(Math.PI * apart)) / 2;
        const k = POINTS.indexOf(point);
        const [x, y, sure] = frame[k]!;
        const moved = [x! + part * by[0], y! + part * by[1], part >= 0.5 ? Math.max(sure!, SURE) : sure!];
        return frame.map((p, j) => (j === k ? moved : p));
      }),
    frames,
  );
}
