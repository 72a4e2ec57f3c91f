import { POINTS, type PointName, type Points } from "./points";

export type CameraView = "face-on" | "down-the-line";

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

/** As the calculator wants it: who was not seen in a picture is nowhere. */
export function framesToSend(frames: (Points | null)[]): number[][][] {
  const nowhere = POINTS.map(() => [0, 0, 0]);
  return frames.map((f) =>
    f ? f.map(([x, y, sure]) => [round(x!, 10), round(y!, 10), round(sure!, 100)]) : nowhere,
  );
}

const round = (value: number, parts: number) => Math.round(value * parts) / parts;
