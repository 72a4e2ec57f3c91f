import type { ReactNode } from "react";
import type { Drill, Hand } from "@/api/types";
import { DrillPose } from "../golfer/DrillPose";
import type { Look } from "../golfer/looks";
import type { Motion } from "../golfer/motion";

/** A drill that could be taken: its golfer, its name, what speaks for it, and what to press. */
export function DrillOffer({
  drill,
  name,
  pose,
  hand,
  look,
  why,
  children,
}: {
  /** Undefined where it is no longer known. */
  drill: Drill | undefined;
  name: string;
  pose: Motion | undefined;
  hand: Hand;
  look?: Look;
  why: ReactNode;
  children: ReactNode;
}) {
  return (
    <li className="border-line flex items-center gap-3 border-b py-2">
      {drill && <SmallPose {...{ drill, pose, hand, look }} />}
      <span className="flex-1">
        <strong>{name}</strong>
        <span className="text-soft block text-sm">{why}</span>
      </span>
      {children}
    </li>
  );
}

/** The golfer beside a name. */
export function SmallPose(props: { drill: Drill; pose: Motion | undefined; hand: Hand; look?: Look }) {
  return (
    <span className="w-14 shrink-0">
      <DrillPose alone {...props} />
    </span>
  );
}
