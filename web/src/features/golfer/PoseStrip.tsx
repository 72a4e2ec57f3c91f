import { memo } from "react";
import type { Hand } from "@/api/types";
import { type View, VIEWS } from "./camera";
import { GolferPicture } from "./GolferPicture";
import { type Look } from "./looks";
import { type Motion, posesOf } from "./motion";

/** A movement as poses side by side, each with its moment's name: on paper, and where nothing may move. */
export const PoseStrip = memo(function PoseStrip({
  motion,
  hand,
  view = VIEWS.face,
  look,
  most = 8,
}: {
  motion: Motion;
  hand: Hand;
  view?: View;
  look?: Look;
  /** No more poses than this. */
  most?: number;
}) {
  return (
    <ol className="pose-strip flex flex-wrap gap-1">
      {posesOf(motion, most).map((m) => (
        <li key={m.id} className="max-w-36 min-w-20 flex-1 basis-20">
          <GolferPicture drawn={[{ motion, seconds: m.time }]} hand={hand} view={view} look={look} />
          <p className="text-soft text-center text-xs leading-tight">{m.brief}</p>
        </li>
      ))}
    </ol>
  );
});
