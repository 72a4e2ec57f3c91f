import type { Found } from "./finding";
import { POINTS, type PointName, type Points } from "./points";
import { type CameraView, toMicros } from "./seen";
import { nearest } from "./shown";

type XY = [number, number];

/** A place of the body that is asked for, and the points that it is. */
export type Place = { id: string; label: string; points: PointName[] };

/** Points set by hand in one picture; null where a place is not to be seen. */
export type Pose = { seconds: number; places: Record<string, XY | null> };

/** By moment. */
export type Poses = Record<string, Pose>;

/** As sure as what was found well. */
const SURE = 0.95;

const both = (part: string, label: string): Place => ({
  id: part,
  label,
  points: [`left-${part}`, `right-${part}`] as PointName[],
});
const each = (part: string, label: string): Place[] =>
  ["left", "right"].map((side) => ({
    id: `${side}-${part}`,
    label: `the ${side} ${label}`,
    points: [`${side}-${part}` as PointName],
  }));

/** What is asked at every moment. From behind both sides lie on each other: half-way between them will do. */
export const PLACES: Record<CameraView, Place[]> = {
  "face-on": [
    both("ear", "an ear, or where it would be"),
    ...each("shoulder", "shoulder joint"),
    ...each("hip", "hip joint"),
    ...each("ankle", "ankle"),
  ],
  "down-the-line": [
    both("ear", "an ear"),
    both("shoulder", "the shoulder joints, half-way between"),
    both("hip", "the hip joints, half-way between"),
    both("ankle", "the ankles, half-way between"),
  ],
};

/** The moments that most rests on. */
export const ASKED: Record<CameraView, string[]> = {
  "face-on": ["address", "top", "impact"],
  "down-the-line": ["address", "impact"],
};

/** What is to be set next in a picture; undefined when all is. */
export const nextPlace = (view: CameraView, pose: Pose | undefined): Place | undefined =>
  pose && PLACES[view].find((p) => !(p.id in pose.places));

/** The same without what was set last. */
export function oneBack(view: CameraView, pose: Pose): Pose {
  const last = PLACES[view].filter((p) => p.id in pose.places).at(-1);
  return {
    ...pose,
    places: Object.fromEntries(Object.entries(pose.places).filter(([id]) => id !== last?.id)),
  };
}

/** The same with a point's place moved. */
export function moved(view: CameraView, pose: Pose, point: PointName, by: XY): Pose {
  const place = PLACES[view].find((p) => p.points.includes(point));
  const at = place && pose.places[place.id];
  if (!at) return pose;
  return { ...pose, places: { ...pose.places, [place.id]: [at[0] + by[0], at[1] + by[1]] } };
}

export function pointsOf(view: CameraView, pose: Pose): Points {
  return POINTS.map((point) => {
    const at = pose.places[PLACES[view].find((p) => p.points.includes(point))?.id ?? ""];
    return at ? [at[0], at[1], SURE] : [0, 0, 0];
  });
}

/** The moments whose points are all set, in the order of the film. */
const whole = (view: CameraView, poses: Poses) =>
  Object.entries(poses)
    .filter(([, pose]) => !nextPlace(view, pose))
    .sort(([, a], [, b]) => a.seconds - b.seconds);

/** A film of the pictures alone in which all points are set; undefined where these are too few to be read. */
export function settled(found: Found, view: CameraView, poses: Poses): Found | undefined {
  const all = whole(view, poses);
  if (all.length < 2) return undefined;
  return {
    ...found,
    times: all.map(([, pose]) => pose.seconds),
    frames: all.map(([, pose]) => pointsOf(view, pose)),
    pictures: all.map(([, pose]) => found.pictures[nearest(found.times, pose.seconds)]!),
  };
}

/** What the server is told beside the points, as it takes them from somebody's hand. */
export const toldByHand = (found: Found, view: CameraView, poses: Poses) => ({
  byHand: true,
  frameRate: found.rate,
  moments: Object.fromEntries(whole(view, poses).map(([id, pose]) => [id, toMicros(pose.seconds)])),
});
