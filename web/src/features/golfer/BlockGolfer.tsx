import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Drill, Hand } from "@/api/types";
import { DrillDiagram } from "../drill/DrillDiagram";
import { VIEWS } from "./camera";
import { GolferPicture } from "./GolferPicture";
import { GolferView } from "./GolferView";
import type { Look } from "./looks";
import { shownTime } from "./motion";

type Block = { rung: string; condition?: string | null };

/** What a block of a plan looks like; its soles where the movement is not known, or not here without a signal. */
export default function BlockGolfer({
  drill,
  block,
  hand,
  still = false,
  look,
}: {
  drill: Drill;
  block: Block;
  hand: Hand;
  /** The one pose that shows most. */
  still?: boolean;
  look?: Look;
}) {
  const motion = useQuery({
    ...queries.motion(drill.id, block.rung, hand, { halfStep: block.condition ?? undefined }),
    enabled: drill.moving,
  });
  if (!motion.data) return <DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />;
  if (still) {
    return (
      <GolferPicture
        drawn={[{ motion: motion.data, seconds: shownTime(motion.data) }]}
        hand={hand}
        view={VIEWS.face}
        look={look}
        title={drill.name}
      />
    );
  }
  return (
    <GolferView
      compact
      motion={motion.data}
      hand={hand}
      look={look}
      said={`${drill.name}: ${drill.action}`}
    />
  );
}
