import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Drill, Hand } from "@/api/types";
import { DrillDiagram } from "../drill/DrillDiagram";
import { VIEWS } from "./camera";
import { GolferPicture } from "./GolferPicture";

/** The one pose that shows most of a drill; its soles where the golfer does not know it. */
export function DrillPose({ drill, hand }: { drill: Drill; hand: Hand }) {
  const poses = useQuery({ ...queries.poses(hand), enabled: drill.moving });
  if (!drill.moving) return <DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />;
  const pose = poses.data?.[drill.id];
  if (!pose) return <span className="aspect-square w-full" />;
  return <GolferPicture drawn={[{ motion: pose, seconds: 0 }]} hand={hand} view={VIEWS.face} />;
}
