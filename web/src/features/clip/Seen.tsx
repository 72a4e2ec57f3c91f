import type { ReactNode } from "react";
import type { Hand } from "@/api/types";
import { ClipPicture } from "./ClipPicture";
import type { PointName } from "./points";
import { seenAt } from "./seenAt";
import type { Shown } from "./shown";

/** A picture of a film with the lines that are measured, and how far what they measure may be off. */
export function Seen({
  shown,
  at,
  hand,
  moment,
  marks = [],
  small,
  children,
  onPress,
  onDrag,
}: {
  shown: Shown;
  at: number;
  hand: Hand;
  moment?: string;
  marks?: [number, number][];
  small?: boolean;
  /** Laid over the picture. */
  children?: ReactNode;
  onPress?: (at: [number, number]) => void;
  onDrag?: (point: PointName, by: [number, number]) => void;
}) {
  const { drawn, reading, picture } = seenAt(shown, at, hand, moment);
  return (
    <ClipPicture
      picture={picture}
      mirrored={shown.mirrored}
      width={shown.width}
      height={shown.height}
      drawing={drawn}
      marks={marks}
      small={small}
      onPress={onPress}
      onDrag={onDrag}
      said={`${shown.name} at ${(shown.times[at] ?? 0).toFixed(2)} s${shown.frames[at] ? "" : ": nobody is to be seen"}${
        reading ? `, pelvis ${Math.round(reading.value)} cm from its place` : ""
      }`}
    >
      {children}
    </ClipPicture>
  );
}
