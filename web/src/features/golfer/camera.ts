import type { Hand } from "@/api/types";
import { add, cross, dot, sub, times, unit, UP, type Vec } from "./vec";

/** From where the golfer is seen: turned about the upright from face on, and raised; both in degrees. */
export type View = {
  turn: number;
  rise: number;
  /** The feet alone, large. */
  feet?: boolean;
};

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

/** What is looked at. */
const BODY: Vec = [0, 88, 18];
const FEET: Vec = [0, 22, 12];
export const DISTANCE = 620;
/** Height of the picture there, cm. */
export const TALL = 232;
const TALL_FEET = 92;

/** @property near how many times larger than the whole golfer */
export type Camera = { eye: Vec; right: Vec; up: Vec; ahead: Vec; centre: Vec; near: number };

/** A left-hander's line is behind the other side. */
export function cameraOf(view: View, hand: Hand): Camera {
  const turn = ((hand === "right" ? view.turn : -view.turn) * Math.PI) / 180;
  const rise = (view.rise * Math.PI) / 180;
  const back: Vec = [-Math.sin(turn) * Math.cos(rise), Math.sin(rise), Math.cos(turn) * Math.cos(rise)];
  const ahead = times(back, -1);
  const right = unit(cross(ahead, UP));
  const centre = view.feet ? FEET : BODY;
  const near = view.feet ? TALL / TALL_FEET : 1;
  return { eye: add(centre, times(back, DISTANCE)), right, up: cross(right, ahead), ahead, centre, near };
}

/** Across and down in a picture of 100 by 100, and how far away. */
export function project(camera: Camera, point: Vec): [number, number, number] {
  const off = sub(point, camera.eye);
  const depth = dot(off, camera.ahead);
  const scale = (100 / TALL) * (DISTANCE / depth) * camera.near;
  return [50 + dot(off, camera.right) * scale, 50 - dot(off, camera.up) * scale, depth];
}
