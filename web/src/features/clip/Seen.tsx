import type { ReactNode } from "react";
import type { Hand } from "@/api/types";
import { ClipPicture } from "./ClipPicture";
import { drawing } from "./lines";
import type { PointName } from "./points";
import { nearest, type Shown, TELLING } from "./shown";

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
  const points = shown.frames[at];
  const address = shown.moments.find((m) => m.id === "address");
  const first = address && shown.frames[nearest(shown.times, address.time)];
  const { measure } = TELLING[shown.view];
  const reading = moment ? shown.readings.find((r) => r.measure === measure && r.at === moment) : undefined;
  const half = (reading?.uncertainty ?? 0) * 2 * (shown.ruler.pixelsPerCentimetre ?? 0);
  const picture = shown.picture(at, moment);
  const lead = hand === "right" ? "left" : "right";
  const arms = (["shoulder", "elbow", "wrist"] as const).map((part): PointName => `${lead}-${part}`);
  const drawn = points
    ? drawing(shown.view, points, first ?? undefined, arms, half, !picture)
    : { lines: [], dots: [], bands: [] };
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
      said={`${shown.name} at ${(shown.times[at] ?? 0).toFixed(2)} s${points ? "" : ": nobody is to be seen"}${
        reading ? `, pelvis ${Math.round(reading.value)} cm from its place` : ""
      }`}
    >
      {children}
    </ClipPicture>
  );
}
