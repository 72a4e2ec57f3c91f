import { POINTS, type PointName, type Points } from "./points";
import type { CameraView } from "./seen";

type XY = [number, number];

/** The whole body, where there is no picture of it. */
const BODY: [PointName, PointName][] = (["left", "right"] as const).flatMap((side) =>
  [
    ["ear", "shoulder"],
    ["shoulder", "elbow"],
    ["elbow", "wrist"],
    ["shoulder", "hip"],
    ["hip", "knee"],
    ["knee", "ankle"],
    ["ankle", "toe"],
    ["heel", "toe"],
  ].map(([a, b]): [PointName, PointName] => [`${side}-${a}` as PointName, `${side}-${b}` as PointName]),
);

/** What is drawn over a picture, in its pixels. */
export type Line = {
  kind: "body" | "now" | "address";
  from: XY;
  to: XY;
};

export type Drawing = {
  lines: Line[];
  /** Points that are measured; those that are not sure are drawn open. */
  dots: { at: XY; sure: boolean; name: PointName }[];
  /** How far to each side what is measured may lie, around an upright line. */
  bands: { x: number; half: number; top: number; bottom: number }[];
};

const SURE = 0.5;

const DRAWN: Record<CameraView, { limbs: [PointName, PointName][]; dots: PointName[] }> = {
  "face-on": {
    limbs: [
      ["left-hip", "right-hip"],
      ["left-shoulder", "right-shoulder"],
      ["left-ankle", "right-ankle"],
    ],
    dots: ["left-hip", "right-hip", "left-shoulder", "right-shoulder", "left-ear", "right-ear"],
  },
  "down-the-line": { limbs: [], dots: ["left-hip", "right-hip", "left-shoulder", "right-shoulder"] },
};

const point = (points: Points, name: PointName) => points[POINTS.indexOf(name)];

function middle(points: Points, part: "hip" | "shoulder" | "ear"): XY | undefined {
  const left = point(points, `left-${part}`);
  const right = point(points, `right-${part}`);
  return left && right && left[2]! > 0 && right[2]! > 0
    ? [(left[0]! + right[0]!) / 2, (left[1]! + right[1]!) / 2]
    : undefined;
}

/**
 * The lines that are measured in this view: where pelvis and head are and where they were at address, the line of hips
 * and of shoulders, the trunk's bend.
 *
 * @param arms the points of the lead arm
 * @param whole the whole body is drawn
 * @param half how far to each side the pelvis may lie, pixels
 */
export function drawing(
  view: CameraView,
  now: Points,
  address: Points | undefined,
  arms: PointName[],
  half: number,
  whole = false,
): Drawing {
  const lines: Line[] = [];
  const bands: Drawing["bands"] = [];
  const xy = (name: PointName): XY | undefined => {
    const p = point(now, name);
    return p && p[2]! > 0 ? [p[0]!, p[1]!] : undefined;
  };
  const line = (kind: Line["kind"], from?: XY, to?: XY) => {
    if (from && to) lines.push({ kind, from, to });
  };
  if (whole) for (const [a, b] of BODY) line("body", xy(a), xy(b));
  for (const [a, b] of DRAWN[view].limbs) line("body", xy(a), xy(b));
  if (view === "face-on") for (let i = 1; i < arms.length; i++) line("body", xy(arms[i - 1]!), xy(arms[i]!));
  const hips = middle(now, "hip");
  const shoulders = middle(now, "shoulder");
  if (view === "down-the-line") line("now", hips, shoulders);
  if (hips && shoulders) {
    const trunk = hips[1] - shoulders[1];
    const upright = (x: number, kind: Line["kind"]) =>
      line(kind, [x, hips[1] - 0.35 * trunk], [x, hips[1] + 0.7 * trunk]);
    upright(hips[0], "now");
    if (half > 0)
      bands.push({ x: hips[0], half, top: hips[1] - 0.35 * trunk, bottom: hips[1] + 0.7 * trunk });
    const was = address && middle(address, "hip");
    if (was) upright(was[0], "address");
    if (view === "down-the-line") line("address", was, address && middle(address, "shoulder"));
    const head = middle(now, "ear");
    const headWas = address && middle(address, "ear");
    if (view === "face-on" && head) {
      const up = (x: number, kind: Line["kind"]) =>
        line(kind, [x, head[1] - 0.5 * trunk], [x, head[1] + 0.3 * trunk]);
      up(head[0], "now");
      if (headWas) up(headWas[0], "address");
    }
  }
  const dots = DRAWN[view].dots.flatMap((name) => {
    const p = point(now, name);
    return p && p[2]! > 0 ? [{ at: [p[0]!, p[1]!] as XY, sure: p[2]! >= SURE, name }] : [];
  });
  return { lines, dots, bands };
}
