import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Hand, Lesson } from "@/api/types";
import { Failed } from "@/ui/Notice";
import type { ViewName } from "./camera";
import { GolferView } from "./GolferView";
import { lookOf } from "./looks";

/** A student's own swing as far as it was measured, over the sound one of the school. */
export function OwnGolfer({ lesson, school, said }: { lesson: Lesson; school: string; said: string }) {
  const hand = lesson.handedness as Hand;
  const own = useQuery(queries.ownSwing(lesson.id, lesson));
  const sound = useQuery({
    ...queries.swingMotion({}, hand, school, own.data?.height),
    enabled: own.isSuccess,
  });
  if (own.isError) return <Failed error={own.error} again={() => own.refetch()} />;
  if (!own.data) return <div className="aspect-square w-full" />;
  const { motion, measured } = own.data;
  return (
    <div className="grid gap-2">
      <GolferView
        motion={motion}
        behind={sound.data}
        hand={hand}
        look={lookOf(lesson)}
        seen={motion.seen as ViewName}
        mark={motion.look}
        said={`${said} The sound swing of the school behind it.`}
      />
      <MovedBy measured={measured} />
    </div>
  );
}

/** What of a golfer was measured. */
export function MovedBy({ measured }: { measured: string[] }) {
  return (
    <p className="text-soft text-sm">
      {measured.length > 0
        ? `As measured: ${measured.join(", ").toLowerCase()}. What was not measured follows the likely faults.`
        : "Nothing was measured: drawn from the likely faults."}
    </p>
  );
}
