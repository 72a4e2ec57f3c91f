import type { Hand } from "@/api/types";
import { type Part } from "./parts";
import { things } from "./things";
import { glows, type Glow } from "./glows";
import { figure } from "./figure";
import { type Motion, type Pose, poseAt } from "./motion";

/** A movement at a time; a ghost is laid behind the others, see-through. */
export type Drawn = { motion: Motion; seconds: number; ghost?: boolean };

export type Picture = { pose: Pose; parts: Part[]; glows: Glow[]; ghost?: boolean };

/** What is to be drawn, for every renderer. */
export function pictureOf({ motion, seconds, ghost }: Drawn, hand: Hand, build: number): Picture {
  const pose = poseAt(motion, seconds, hand);
  const first = seconds === 0 ? pose : poseAt(motion, 0, hand);
  return {
    pose,
    parts: [
      ...(ghost ? [] : things(motion, first, pose, hand)),
      ...figure(pose, motion, seconds, hand, build),
    ],
    glows: glows(pose),
    ghost,
  };
}
