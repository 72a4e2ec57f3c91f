import type { Hand } from "@/api/types";
import { add, cross, dot, sub, times, unit, UP, type Vec } from "./vec";

/** From where the golfer is seen: turned about the upright from face on, and raised; both in degrees. */
export type View = { turn: number; rise: number };

export const VIEWS = {
  face: { turn: 0, rise: 9 },
  line: { turn: 90, rise: 10 },
  above: { turn: 180, rise: 89 },
} as const satisfies Record<string, View>;

export type ViewName = keyof typeof VIEWS;

export const VIEW_NAMES: Record<ViewName, string> = {
  face: "Face on",
  line: "Down the line",
  above: "From above",
};

/** What all look at. */
export const CENTRE: Vec = [0, 88, 18];
export const DISTANCE = 620;
/** Height of the picture at the centre, cm. */
export const TALL = 232;

export type Camera = { eye: Vec; right: Vec; up: Vec; ahead: Vec };

/** A left-hander's line is behind the other side. */
export function cameraOf(view: View, hand: Hand): Camera {
  const turn = ((hand === "right" ? view.turn : -view.turn) * Math.PI) / 180;
  const rise = (view.rise * Math.PI) / 180;
  const back: Vec = [-Math.sin(turn) * Math.cos(rise), Math.sin(rise), Math.cos(turn) * Math.cos(rise)];
  const ahead = times(back, -1);
  const right = unit(cross(ahead, UP));
  return { eye: add(CENTRE, times(back, DISTANCE)), right, up: cross(right, ahead), ahead };
}

/** Across and down in a picture of 100 by 100, and how far away. */
export function project(camera: Camera, point: Vec): [number, number, number] {
  const off = sub(point, camera.eye);
  const depth = dot(off, camera.ahead);
  const scale = (100 / TALL) * (DISTANCE / depth);
  return [50 + dot(off, camera.right) * scale, 50 - dot(off, camera.up) * scale, depth];
}
