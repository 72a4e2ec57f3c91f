import type { Hand } from "@/api/types";
import type { View } from "./camera";
import { type Part } from "./parts";
import { things } from "./things";
import { glows, type Glow } from "./glows";
import { figure } from "./figure";
import { type Motion, type Pose, poseAt } from "./motion";

/** A movement at a time; a ghost is laid behind the others, see-through. */
export type Drawn = { motion: Motion; seconds: number; ghost?: boolean };

export type Picture = { pose: Pose; parts: Part[]; glows: Glow[]; ghost?: boolean };

/** Above the feet: what would hide them from above. */
const ABOVE = /^(pelvis|belt|trunk|neck|head|nose|hair|cap|brim|(lead|trail)-(sleeve|arm|hand)|grip)$/;
/** Cross-sections of a leg down to the knee, and down to the ankle. */
const THIGH = 4;
const SHIN = 6;

/** Seen from so far above, a shin hides its foot. */
const STEEP = 45;

/** The feet and shins, from above without these, and what lies beside them. */
const feetOf = (parts: Part[], rise: number) =>
  parts
    .filter((part) => !ABOVE.test(part.id))
    .map((part) =>
      part.id.endsWith("-leg") ? { ...part, rings: part.rings.slice(rise > STEEP ? SHIN : THIGH) } : part,
    );

/** What is to be drawn, for every renderer. */
export function pictureOf(
  { motion, seconds, ghost }: Drawn,
  hand: Hand,
  build: number,
  view?: View,
): Picture {
  const pose = poseAt(motion, seconds, hand);
  const first = seconds === 0 ? pose : poseAt(motion, 0, hand);
  const parts = [
    ...(ghost ? [] : things(motion, first, pose, hand)),
    ...figure(pose, motion, seconds, hand, build),
  ];
  return {
    pose,
    parts: view?.feet ? feetOf(parts, view.rise) : parts,
    glows: glows(pose),
    ghost,
  };
}
