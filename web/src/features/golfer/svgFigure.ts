import type { Camera } from "./camera";
import { project } from "./camera";
import { type Part } from "./parts";
import { type Glow } from "./glows";
import type { Material } from "./looks";
import { add, dot, sub, times, unit, type Vec } from "./vec";

/** One thing to draw, the farthest first: an outline in a picture of 100 by 100, and how light it lies, 0 to 1. */
export type Shape = { id: string; material: Material; d: string; depth: number; light: number };

type Flat = readonly [number, number];

/** So many points go around a cross-section; fewer, and of fewer cross-sections, where the picture is small. */
export type Detail = "fine" | "small";

const AROUND = { fine: around(12), small: around(7) };

function around(count: number): [number, number][] {
  return Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * i) / count;
    return [Math.cos(angle), Math.sin(angle)];
  });
}

/** The outline of points: the smallest convex way around them (Andrew's monotone chain). */
export function hull(points: Flat[]): Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: Flat, a: Flat, b: Flat) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (list: Flat[]) => {
    const way: Flat[] = [];
    for (const p of list) {
      while (way.length >= 2 && turn(way[way.length - 2]!, way[way.length - 1]!, p) <= 0) way.pop();
      way.push(p);
    }
    way.pop();
    return way;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const path = (points: Flat[]) => `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join("L")}Z`;

/** The shapes of a figure, the farthest first. A part is drawn as the outlines of its stretches laid together. */
export function shapesOf(parts: Part[], camera: Camera, detail: Detail = "fine"): Shape[] {
  return parts
    .map((part) => {
      let depth = 0;
      const kept =
        detail === "fine"
          ? part.rings
          : part.rings.filter((_, i) => i % 2 === 0 || i === part.rings.length - 1);
      const rings = kept.map((ring) => {
        depth += project(camera, ring.c)[2];
        return AROUND[detail].map(([cos, sin]): Flat => {
          const [c, u, v] = [ring.c, ring.u, ring.v];
          const [a, b] = [ring.a * cos, ring.b * sin];
          const [x, y] = project(camera, [
            c[0] + u[0] * a + v[0] * b,
            c[1] + u[1] * a + v[1] * b,
            c[2] + u[2] * a + v[2] * b,
          ]);
          return [x, y];
        });
      });
      const outlines = rings.slice(1).map((ring, i) => path(hull([...rings[i]!, ...ring])));
      return {
        id: part.id,
        material: part.material,
        d: outlines.join(""),
        depth: depth / rings.length - (AHEAD[part.id] ?? 0),
        light: lightOf(part, camera),
      };
    })
    .sort((a, b) => b.depth - a.depth);
}

/** What lies on another part is drawn over it although it is hardly nearer. */
const AHEAD: Record<string, number> = {
  belt: 3,
  cap: 4,
  brim: 5,
  hair: -1,
  nose: 2,
  "lead-hand": 3,
  "trail-hand": 2,
  grip: 1,
};

const LIGHT: Vec = unit([-0.5, 0.9, 0.6]);

/** From how a part lies to the light: what lies square to it is lightest. */
function lightOf(part: Part, camera: Camera): number {
  const along = unit(sub(part.rings[part.rings.length - 1]!.c, part.rings[0]!.c));
  const facing = unit(add(times(camera.ahead, -1), times(camera.up, 0.2)));
  const lit = dot(LIGHT, facing);
  return Math.max(0, Math.min(1, 0.5 + 0.35 * lit - 0.3 * Math.abs(dot(along, LIGHT)) + 0.1));
}

/** A quarter of a sole on the ground. */
export type Patch = { id: string; lead: boolean; d: string; load: number };

export function patchesOf(glows: Glow[], camera: Camera): Patch[] {
  return glows.map((glow) => ({
    id: glow.id,
    lead: glow.lead,
    load: glow.load,
    d: path(
      glow.corners.map((c) => {
        const [x, y] = project(camera, c);
        return [x, y] as const;
      }),
    ),
  }));
}

/** The part of the picture that a figure takes up: left, top, width and height, with a little air around it. */
export function boundsOf(parts: Part[], camera: Camera): [number, number, number, number] {
  const at = parts.flatMap((part) =>
    part.rings.map((ring) => {
      const [x, y] = project(camera, ring.c);
      return [x, y] as const;
    }),
  );
  const xs = at.map(([x]) => x);
  const ys = at.map(([, y]) => y);
  const [left, right] = [Math.min(...xs) - AIR, Math.max(...xs) + AIR];
  const [top, bottom] = [Math.min(...ys) - AIR, Math.max(...ys) + AIR];
  return [left, top, right - left, bottom - top];
}

const AIR = 5;
