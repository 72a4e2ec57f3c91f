import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Drill, Hand } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { Failed } from "@/ui/Notice";
import { wrongAndRight } from "../drill/instruction";
import { GolferView } from "./GolferView";

const SHOWN = [
  { id: "right", label: "As wanted" },
  { id: "wrong", label: "The usual mistake" },
];

/** A drill in movement, on each of its rungs; its usual mistake over it, with what differs pointed at. */
export function DrillGolfer({
  drill,
  catalogue,
  hand,
  rung: first,
}: {
  drill: Drill;
  catalogue: Catalogue;
  hand: Hand;
  /** The rung at first; its lowest where none is said. */
  rung?: string;
}) {
  const rungs = catalogue.rungs.filter((r) => r.id in drill.variations);
  const [rung, setRung] = useState(first ?? rungs[0]!.id);
  const [shown, setShown] = useState("right");
  const wrong = shown === "wrong";
  const right = useQuery(queries.motion(drill.id, rung, hand));
  const mistake = useQuery({ ...queries.motion(drill.id, rung, hand, { mistake: true }), enabled: wrong });
  if (right.isError) return <Failed error={right.error} again={() => right.refetch()} />;
  const motion = wrong ? mistake.data : right.data;
  return (
    <div className="grid gap-2">
      <div className="no-print flex flex-wrap gap-3">
        {rungs.length > 1 && <Choice compact label="Rung" value={rung} options={rungs} onChange={setRung} />}
        {drill.mistaken && <Choice compact label="Shown" value={shown} options={SHOWN} onChange={setShown} />}
      </div>
      {wrong && (
        <p>
          <strong>Usual mistake.</strong> {wrongAndRight(drill)}
        </p>
      )}
      {mistake.isError && <Failed error={mistake.error} again={() => mistake.refetch()} />}
      <div className="max-w-[min(36rem,58dvh)]">
        {motion ? (
          <GolferView
            key={rung + shown}
            motion={motion}
            behind={wrong ? right.data : undefined}
            hand={hand}
            mark={wrong ? motion.look : []}
            said={wrong ? `The usual mistake of ${drill.name}.` : `${drill.name}: ${drill.action}`}
          />
        ) : (
          <div className="aspect-square w-full" />
        )}
      </div>
    </div>
  );
}
