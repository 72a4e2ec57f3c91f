import { useMemo } from "react";
import type { Drill, Hand } from "@/api/types";
import { DrillDiagram } from "../drill/DrillDiagram";
import { VIEWS } from "./camera";
import { GolferPicture } from "./GolferPicture";
import type { Look } from "./looks";
import type { Motion } from "./motion";

/** The one pose that shows most of a drill, with its soles unless it is alone; these where the golfer does not know it. */
export function DrillPose({
  drill,
  pose,
  hand,
  look,
  alone = false,
}: {
  drill: Drill;
  /** Undefined until it is here. */
  pose: Motion | undefined;
  hand: Hand;
  /** The student's, where it is for one. */
  look?: Look;
  alone?: boolean;
}) {
  const drawn = useMemo(() => (pose ? [{ motion: pose, seconds: 0 }] : []), [pose]);
  if (!drill.moving) return <DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />;
  if (!pose) return <span className="block h-24" />;
  return (
    <span className="relative block">
      <GolferPicture fit className="h-24 w-full" drawn={drawn} hand={hand} look={look} view={VIEWS.face} />
      {!alone && (
        <span className="absolute right-0 bottom-0 w-11">
          <DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />
        </span>
      )}
    </span>
  );
}
