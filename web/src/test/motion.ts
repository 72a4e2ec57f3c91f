import type { Motion } from "@/features/golfer/motion";

/** A standing golfer in mm: along the target, towards the ball, up. */
const BODY: Record<string, [number, number, number]> = {
  nose: [0, 300, 1520],
  "lead-ear": [70, 200, 1540],
  "trail-ear": [-70, 200, 1540],
  "lead-shoulder": [200, 150, 1330],
  "trail-shoulder": [-200, 150, 1330],
  "lead-elbow": [190, 250, 1030],
  "trail-elbow": [-190, 250, 1030],
  "lead-wrist": [60, 420, 830],
  "trail-wrist": [20, 440, 780],
  "lead-hip": [118, -90, 900],
  "trail-hip": [-118, -90, 900],
  "lead-knee": [190, 60, 480],
  "trail-knee": [-190, 60, 480],
  "lead-ankle": [236, 0, 68],
  "trail-ankle": [-236, 0, 68],
  "lead-heel": [214, -70, 0],
  "trail-heel": [-214, -70, 0],
  "lead-toe": [296, 180, 0],
  "trail-toe": [-296, 180, 0],
  grip: [60, 420, 830],
  "club-head": [40, 900, 30],
};

/** From address to top the hips go away from the target by so many mm; then the ball is struck. */
export function motionOf(sway: number, part: Partial<Motion> = {}): Motion {
  const p = (off: number) =>
    Object.entries(BODY).flatMap(([id, [x, y, z]]) => [id.endsWith("-hip") ? x - off : x, y, z]);
  const even = Array.from({ length: 8 }, () => 125);
  const back = [50, 50, 50, 50, 200, 200, 200, 200];
  return {
    seconds: 2,
    points: Object.keys(BODY),
    frames: [
      { at: 0, p: p(0), l: even },
      { at: 1000, p: p(sway), l: back },
      { at: 2000, p: p(0), l: even },
    ],
    moments: [
      { id: "address", label: "Address", brief: "Address", time: 0 },
      { id: "top", label: "Top", brief: "Top", time: 1 },
      { id: "finish", label: "Finish", brief: "Finish", time: 1.8 },
    ],
    shown: "top",
    held: "iron",
    ball: [60, 900, 21],
    strike: 1.5,
    things: [{ kind: "disc", follows: "trail-foot", from: [-255, 55, 0], to: [-255, 55, 0] }],
    look: ["lead-hip"],
    seen: "face",
    ...part,
  };
}
