import type { Hand } from "@/api/types";
import { cameraOf, project, type View } from "../golfer/camera";
import { type Motion, poseAt, timeOf } from "../golfer/motion";
import { POINTS, type PointName } from "./points";
import { nearest, type Shown } from "./shown";
import type { CameraView } from "./seen";

/** As a level camera sees the golfer. */
export const LEVEL: Record<CameraView, View> = {
  "face-on": { turn: 0, rise: 0 },
  "down-the-line": { turn: 90, rise: 0 },
};

/** The golfer's picture is so wide and high. */
export const SQUARE = 100;

type XY = [number, number];

/** At address: half-way between the feet, and the shoulders over them; in a picture's pixels. */
export type Stance = { feet: XY; tall: number };

/** Undefined where address is not known or the body not seen there. */
export function stanceOf(shown: Shown): Stance | undefined {
  const address = shown.moments.find((m) => m.id === "address");
  const body = address && shown.frames[nearest(shown.times, address.time)];
  if (!body) return undefined;
  const at = (name: string): XY => {
    const [x, y] = body[POINTS.indexOf(name as PointName)]!;
    return [x!, y!];
  };
  return stance((part) => [at(`left-${part}`), at(`right-${part}`)]);
}

/** The same of the golfer's picture. */
export function stanceIn(motion: Motion, view: CameraView, hand: Hand): Stance | undefined {
  const pose = poseAt(motion, timeOf(motion, "address"), hand);
  const camera = cameraOf(LEVEL[view], hand);
  const at = (name: string): XY => {
    const [x, y] = project(camera, pose.points[name]!);
    return [x, y];
  };
  return stance((part) => [at(`lead-${part}`), at(`trail-${part}`)]);
}

function stance(both: (part: "ankle" | "shoulder") => [XY, XY]): Stance | undefined {
  const middle = (part: "ankle" | "shoulder"): XY => {
    const [a, b] = both(part);
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  };
  const feet = middle("ankle");
  const tall = feet[1] - middle("shoulder")[1];
  return tall > 0 ? { feet, tall } : undefined;
}

/** Where another picture lies over this one, feet on feet and as tall: its corner, and how much larger it is drawn. */
export function laidOver(here: Stance, other: Stance): { left: number; top: number; scale: number } {
  const scale = here.tall / other.tall;
  return { scale, left: here.feet[0] - scale * other.feet[0], top: here.feet[1] - scale * other.feet[1] };
}
