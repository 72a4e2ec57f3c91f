import type { Wire } from "@/api/types";
import type { Points } from "./points";
import type { CameraView } from "./seen";

/** A filmed swing as it is shown, just found or kept. */
export type Shown = {
  name: string;
  view: CameraView;
  width: number;
  height: number;
  times: number[];
  frames: (Points | null)[];
  moments: Wire["SwingMomentView"][];
  warnings: Wire["WarningView"][];
  ruler: Wire["RulerView"];
  readings: Wire["MeasuredView"][];
  /** Points were set in the pictures of the moments, which therefore stay where they are. */
  byHand?: boolean;
  /** How the kept film that brings the pictures is on. */
  film?: "coming" | "failed";
  /** Pictures are turned round left to right; points are already. */
  mirrored?: boolean;
  /** The picture at a time, or next to a moment; undefined where none is at hand. */
  picture: (index: number, moment?: string) => Blob | string | undefined;
};

/** Which picture is nearest to a moment, seconds. */
export const nearest = (times: number[], at: number): number => {
  let best = 0;
  for (let i = 1; i < times.length; i++) if (Math.abs(times[i]! - at) < Math.abs(times[best]! - at)) best = i;
  return best;
};

/** What is looked at first of a film from there: the measure, and the moment that tells most. */
export const TELLING: Record<CameraView, { measure: string; at: string }> = {
  "face-on": { measure: "pelvis-drift", at: "top" },
  "down-the-line": { measure: "pelvis-thrust", at: "impact" },
};

/** As a mirror shows it. */
export const mirror = (shown: Shown): Shown => ({
  ...shown,
  mirrored: !shown.mirrored,
  frames: shown.frames.map((f) => f && f.map(([x, y, sure]) => [shown.width - x!, y!, sure!])),
});
