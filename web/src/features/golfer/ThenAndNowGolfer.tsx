import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Hand, Lesson } from "@/api/types";
import type { ViewName } from "./camera";
import { GolferView } from "./GolferView";
import { lookOf } from "./looks";
import { MovedBy } from "./OwnGolfer";

/** The own swings of two lessons laid over each other; nothing where not both were measured in something alike. */
export default function ThenAndNowGolfer({ then, now }: { then: string; now: Lesson }) {
  const first = useQuery(queries.ownSwing(then));
  const second = useQuery(queries.ownSwing(now.id, now));
  const both = first.data?.measured.filter((m) => second.data?.measured.includes(m)) ?? [];
  if (!first.data || !second.data || both.length === 0) return null;
  const { motion } = second.data;
  // Where to look is told by what was worked on, and so by the swing of then.
  const { seen, look } = first.data.motion;
  return (
    <section
      aria-labelledby="own-swings"
      className="grid w-88 max-w-full content-start gap-2 break-inside-avoid"
    >
      <h2 id="own-swings">Then behind, now in front</h2>
      <GolferView
        motion={motion}
        behind={first.data.motion}
        hand={now.handedness as Hand}
        look={lookOf(now)}
        seen={seen as ViewName}
        mark={look}
        said="The own swing now, over the one of then."
      />
      <MovedBy measured={both} />
    </section>
  );
}
