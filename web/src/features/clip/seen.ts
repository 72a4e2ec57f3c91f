import type { Hand } from "@/api/types";
import type { Turned } from "./film";
import { POINTS, type PointName, type Points } from "./points";

export type CameraView = "face-on" | "down-the-line";

export const VIEWS: { id: CameraView; label: string }[] = [
  { id: "face-on", label: "Face on" },
  { id: "down-the-line", label: "Down the line" },
];

const at = (points: Points, name: PointName) => points[POINTS.indexOf(name)]!;

/** Shoulders narrower than this part of the body's length are seen from the side. */
const NARROW = 0.13;

/** From where a golfer was filmed: face on the shoulders are wide before the swing. */
export function viewOf(frames: (Points | null)[]): CameraView {
  const early = frames.slice(0, Math.max(5, Math.round(frames.length / 4))).filter((f) => f !== null);
  const widths = early
    .map((f) => {
      const body = at(f, "left-ankle")[1]! - at(f, "left-ear")[1]!;
      return Math.abs(at(f, "left-shoulder")[0]! - at(f, "right-shoulder")[0]!) / Math.max(1, body);
    })
    .sort((a, b) => a - b);
  return (widths[Math.floor(widths.length / 2)] ?? 0) > NARROW ? "face-on" : "down-the-line";
}

/** How far a picture must be turned with the clock so that the body in it stands, degrees. */
export function turnToStand(points: Points): Turned {
  const middle = (part: "shoulder" | "ankle") =>
    [0, 1].map((k) => (at(points, `left-${part}`)[k]! + at(points, `right-${part}`)[k]!) / 2);
  const [head, feet] = [middle("shoulder"), middle("ankle")];
  const right = head[0]! - feet[0]!;
  const down = head[1]! - feet[1]!;
  if (Math.abs(down) >= Math.abs(right)) return down < 0 ? 0 : 180;
  return right < 0 ? 90 : 270;
}

/** What was found in a film, as the server takes it. */
export function trackOf(
  { times }: { times: number[] },
  frames: (Points | null)[],
  view: CameraView,
  hand: Hand,
) {
  return {
    handedness: hand,
    view,
    points: [...POINTS],
    frames: framesToSend(frames),
    times: times.map(toMicros),
    // Where somebody set them this is said otherwise, and goes before.
    found: true,
  };
}

/** As the calculator wants it: who was not seen in a picture is nowhere. */
export function framesToSend(frames: (Points | null)[]): number[][][] {
  const nowhere = POINTS.map(() => [0, 0, 0]);
  return frames.map((f) =>
    f ? f.map(([x, y, sure]) => [round(x!, 10), round(y!, 10), round(sure!, 100)]) : nowhere,
  );
}

/** Seconds as the server is told them. */
export const toMicros = (seconds: number) => round(seconds, 1e6);

const round = (value: number, parts: number) => Math.round(value * parts) / parts;
