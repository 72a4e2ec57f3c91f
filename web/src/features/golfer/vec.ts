/** Places and directions in the picture's world, cm: to the right of who faces the golfer, up, towards who faces. */
export type Vec = readonly [number, number, number];

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Vec, f: number): Vec => [a[0] * f, a[1] * f, a[2] * f];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const length = (a: Vec): number => Math.sqrt(dot(a, a));
export const unit = (a: Vec): Vec => times(a, 1 / (length(a) || 1));
export const mix = (a: Vec, b: Vec, part: number): Vec => add(times(a, 1 - part), times(b, part));
/** The part of a that is square to b, made one long. */
export const squareTo = (a: Vec, b: Vec): Vec => unit(sub(a, times(b, dot(a, b) / (dot(b, b) || 1))));
export const UP: Vec = [0, 1, 0];
