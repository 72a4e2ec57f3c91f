import type { Hand, Wire } from "@/api/types";
import { mix, type Vec } from "./vec";

export type Motion = Wire["MotionView"];
export type Thing = Motion["things"][number];

/** A body at one time, in the picture's world; and the loads of the eight quarters, % of the body's weight. */
export type Pose = { points: Record<string, Vec>; loads: number[] };

/** From mm in the golfer's space to cm in the picture's world; a left-hander is the mirror image. */
export function placed(mm: readonly number[], at: number, hand: Hand): Vec {
  const x = mm[at]! / 10;
  return [hand === "right" ? x : -x, mm[at + 2]! / 10, mm[at + 1]! / 10];
}

/** The body at a time, seconds: between two pictures on the straight way. */
export function poseAt(motion: Motion, seconds: number, hand: Hand): Pose {
  const { frames, points } = motion;
  const ms = seconds * 1000;
  let next = 0;
  let high = frames.length - 1;
  while (next < high) {
    const middle = (next + high) >> 1;
    if (frames[middle]!.at < ms) next = middle + 1;
    else high = middle;
  }
  const to = frames[next]!;
  const from = frames[Math.max(0, next - 1)]!;
  const part = to.at > from.at ? Math.max(0, Math.min(1, (ms - from.at) / (to.at - from.at))) : 1;
  const pose: Pose = { points: {}, loads: to.l.map((l, i) => (from.l[i]! * (1 - part) + l * part) / 10) };
  for (let i = 0; i * 3 < to.p.length; i++) {
    pose.points[points[i]!] = mix(placed(from.p, 3 * i, hand), placed(to.p, 3 * i, hand), part);
  }
  return pose;
}

/** Seconds of a moment; of one that the movement does not have, its beginning. */
export const timeOf = (motion: Motion, id: string): number =>
  motion.moments.find((m) => m.id === id)?.time ?? 0;

/** The moment that shows most. */
export const shownTime = (motion: Motion): number =>
  motion.moments.length === 0 ? 0 : timeOf(motion, motion.shown);

/** Where the ball is: it lies until it is struck, and is gone a moment later. */
export function ballAt(motion: Motion, seconds: number, hand: Hand): Vec | undefined {
  if (!motion.ball) return undefined;
  const lies = placed(motion.ball, 0, hand);
  const since = motion.strike == null ? 0 : seconds - motion.strike;
  if (since <= 0) return lies;
  if (since > 0.12) return undefined;
  const away = since * 2500 * (hand === "right" ? 1 : -1);
  return [lies[0] + away, lies[1] + Math.abs(away) * 0.3, lies[2]];
}

/** Moments for a strip of so many poses at most, the first and the last among them. */
export function posesOf({ moments }: Motion, most: number): Motion["moments"] {
  if (moments.length <= most) return moments;
  const every = (moments.length - 1) / (most - 1);
  return Array.from({ length: most }, (_, i) => moments[Math.round(i * every)]!);
}
