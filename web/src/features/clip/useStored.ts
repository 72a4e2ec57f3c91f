import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import type { Shown } from "./shown";
import { picturesOf } from "./kept";
import { POINTS, type Points } from "./points";
import type { CameraView } from "./seen";

/** A kept clip as it is shown: its points from the server, its pictures from this page or, where they are kept, too. */
export function useStored(clip: Wire["ClipView"] | undefined, name?: string): Shown | undefined {
  const points = useQuery({ ...queries.clipPoints(clip?.id ?? ""), enabled: !!clip });
  return useMemo(() => {
    if (!clip || !points.data) return undefined;
    const held = picturesOf(clip.id);
    const order = POINTS.map((p) => points.data.points.indexOf(p));
    return {
      name: name ?? `Clip ${clip.number}, ${clip.stage}`,
      view: clip.view as CameraView,
      width: clip.width,
      height: clip.height,
      byHand: points.data.byHand,
      times: points.data.times,
      frames: points.data.frames.map((f) => order.map((k) => f[k] ?? [0, 0, 0])) as Points[],
      moments: clip.moments,
      warnings: clip.warnings,
      readings: clip.readings,
      ruler: clip.ruler,
      picture: (i: number, moment?: string) =>
        held?.pictures[i] ??
        (moment && clip.pictures.includes(moment) ? `/api/clips/${clip.id}/pictures/${moment}` : undefined),
    };
  }, [clip, name, points.data]);
}
