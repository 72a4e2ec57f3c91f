import type { Material } from "./looks";
import { add, cross, dot, mix, squareTo, sub, unit, UP, type Vec } from "./vec";

/** A cross-section: an ellipse about c, a wide along u and b along v. */
export type Ring = { c: Vec; u: Vec; v: Vec; a: number; b: number };

/** A part of the picture: cross-sections that are joined, closed at both ends. */
export type Part = { id: string; material: Material; rings: Ring[] };

const AXES: Vec[] = [[1, 0, 0], UP, [0, 0, 1]];

/** The axis that lies most across all of these ways: cross-sections that are turned alike do not twist between them. */
export function across(...ways: Vec[]): Vec {
  const most = (axis: Vec) => Math.max(...ways.map((way) => Math.abs(dot(axis, unit(way)))));
  return AXES.reduce((best, axis) => (most(axis) < most(best) ? axis : best));
}

export function round(c: Vec, r: number, along: Vec, turned: Vec): Ring {
  const u = squareTo(turned, along);
  return { c, u, v: cross(along, u), a: r, b: r };
}

/** A limb: radii at parts of the way. */
export function limb(id: string, material: Material, from: Vec, to: Vec, radii: [number, number][]): Part {
  const along = unit(sub(to, from));
  const turned = across(along);
  return { id, material, rings: radii.map(([t, r]) => round(mix(from, to, t), r, along, turned)) };
}

/** A ball, or one pressed flat. */
export function sphere(id: string, material: Material, c: Vec, r: number, flat = 1): Part {
  return {
    id,
    material,
    rings: [-1, -0.85, -0.45, 0, 0.45, 0.85, 1].map((t) => {
      const a = Math.max(0.05, r * Math.sqrt(1 - t * t));
      return { c: add(c, [0, t * r * flat, 0]), u: [1, 0, 0], v: [0, 0, 1], a, b: a } as Ring;
    }),
  };
}
