import type { Wire } from "@/api/types";
import type { Found } from "../features/clip/finding";
import type { FilmSound } from "../features/clip/strike";
import { POINTS, type Points } from "../features/clip/points";

/** Heights over the ground of a made-up golfer's points, pixels. */
const UP: Record<string, number> = {
  nose: 405,
  ear: 405,
  shoulder: 330,
  elbow: 260,
  wrist: 210,
  hip: 220,
  knee: 120,
  ankle: 20,
  heel: 5,
  toe: 0,
};

/** A golfer who stands in a picture of 360 by 480: shoulders so wide, moved across by so much. */
export function standing(wide = 80, across = 0, sure = 0.9): Points {
  return POINTS.map((name) => {
    const side = name.startsWith("left") ? 1 : name.startsWith("right") ? -1 : 0;
    return [180 + across + (side * wide) / 2, 450 - UP[name.replace(/^(left|right)-/, "")]!, sure];
  });
}

const TIMES = Array.from({ length: 40 }, (_, i) => i / 20);
export const MOMENTS = [
  { id: "address", time: 0.2, from: "found", uncertainty: 25 },
  { id: "top", time: 1.2, from: "found", uncertainty: 9 },
  { id: "impact", time: 1.5, from: "found", uncertainty: 8 },
];
/** The browser of the tests knows no way to read what is in one. */
export const picture = () =>
  Object.assign(new Blob(["picture"], { type: "image/jpeg" }), {
    arrayBuffer: async () => new Uint8Array([255, 216, 255]).buffer,
  });

/** A swing as it was found in a film: the pelvis goes 20 pixels across until its end. */
export function foundSwing(part: Partial<Found> = {}): Found {
  return {
    id: 1,
    name: "swing.mp4",
    turned: 0,
    times: TIMES,
    frames: TIMES.map((t) => standing(80, -10 * t)),
    pictures: TIMES.map(picture),
    width: 360,
    height: 480,
    rate: 20,
    byHand: false,
    swings: [{ from: 0, to: 2, peak: 1.45 }],
    swing: 0,
    ...part,
  };
}

/** The sound of such a film, with a crack at a time in a quiet room. */
export function crackAt(seconds: number): FilmSound {
  const rate = 16_000;
  const samples = new Float32Array(rate * 3).map((_, i) => 0.001 * Math.sin(i * i));
  for (let i = 0; i < 300; i++) samples[Math.round(seconds * rate) + i] = 0.5 * Math.sin(i * i);
  return { samples, rate, from: 0 };
}

export const READINGS = [
  { measure: "pelvis-drift", at: "top", value: 8.6, uncertainty: 0.5 },
  { measure: "pelvis-drift", at: "impact", value: -2.1, uncertainty: 0.6 },
];

/** What the server says of such a clip. */
export function keptClip(part: Partial<Wire["ClipView"]> = {}): Wire["ClipView"] {
  return {
    id: "c1",
    number: 1,
    stage: "before",
    state: "kept",
    view: "face-on",
    name: "swing.mp4",
    takenAt: "2026-11-27T10:00:00Z",
    width: 360,
    height: 480,
    from: 0,
    to: 2,
    ruler: { from: "height", pixelsPerCentimetre: 2, uncertainty: 0.03 },
    golferHeight: 178,
    moments: MOMENTS,
    readings: READINGS,
    warnings: [],
    pictures: [],
    ...part,
  };
}

/** Where its points lie. */
export const clipPoints: Wire["ClipPoints"] = {
  times: TIMES,
  points: [...POINTS],
  frames: TIMES.map((t) => standing(80, -10 * t)),
};
