import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import type { Shown } from "./shown";
import { picturesOf } from "./kept";
import { filmPictures } from "./pictures";
import { POINTS, type Points } from "./points";
import type { CameraView } from "./seen";

type Clip = Wire["ClipView"];

/** A kept clip as it is shown: its points from the server, its pictures from this page or, where they are kept, too. */
export function shownOf(
  clip: Clip,
  points: Wire["ClipPoints"],
  name?: string,
  film?: (Blob | undefined)[],
): Shown {
  const held = picturesOf(clip.id);
  const order = POINTS.map((p) => points.points.indexOf(p));
  return {
    name: name ?? `Clip ${clip.number}, ${clip.stage}`,
    view: clip.view as CameraView,
    width: clip.width,
    height: clip.height,
    byHand: points.byHand,
    times: points.times,
    frames: points.frames.map((f) => order.map((k) => f[k] ?? [0, 0, 0])) as Points[],
    moments: clip.moments,
    warnings: clip.warnings,
    readings: clip.readings,
    ruler: clip.ruler,
    picture: (i: number, moment?: string) =>
      held?.pictures[i] ??
      film?.[i] ??
      (moment && clip.pictures.includes(moment) ? `/api/clips/${clip.id}/pictures/${moment}` : undefined),
  };
}

/** The same, as soon as its points are here; a kept film is opened unless the stills are enough. */
export function useStored(clip: Clip | undefined, name?: string, stills = false): Shown | undefined {
  const points = useQuery({ ...queries.clipPoints(clip?.id ?? ""), enabled: !!clip });
  const client = useQueryClient();
  const key = ["kept-film", clip?.id, clip?.film];
  const film = useQuery({
    queryKey: key,
    queryFn: () => filmPictures(clip!.id, points.data!.times, (some) => client.setQueryData(key, some)),
    enabled: !stills && !!clip?.film && !!points.data && !picturesOf(clip.id),
    staleTime: Infinity,
    retry: false,
  });
  const how = film.isFetching ? "coming" : film.isError ? "failed" : undefined;
  return useMemo(
    () => clip && points.data && { ...shownOf(clip, points.data, name, film.data), film: how },
    [clip, name, points.data, film.data, how],
  );
}
