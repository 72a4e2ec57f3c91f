import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Hand, Lesson } from "@/api/types";
import { Failed } from "@/ui/Notice";
import type { ViewName } from "./camera";
import { GolferView } from "./GolferView";
import { lookOf } from "./looks";

const isOfFoot = (point: string) => /-(heel|toe|ankle)$/.test(point);

/** A swing with faults, over the sound one of the school; where to look is marked. */
export function FaultGolfer({
  faults,
  lesson,
  school,
  said,
}: {
  /** How far each is there, 0 to 1; seen as the first is best seen. */
  faults: Record<string, number>;
  /** Whose it is. */
  lesson: Lesson;
  school: string;
  said: string;
}) {
  const hand = lesson.handedness as Hand;
  const faulty = useQuery(queries.swingMotion(faults, hand, school, lesson.studentHeight));
  const sound = useQuery(queries.swingMotion({}, hand, school, lesson.studentHeight));
  if (faulty.isError) return <Failed error={faulty.error} again={() => faulty.refetch()} />;
  if (!faulty.data) return <div className="aspect-square w-full" />;
  return (
    <GolferView
      key={Object.keys(faults).join()}
      motion={faulty.data}
      behind={sound.data}
      hand={hand}
      look={lookOf(lesson)}
      seen={faulty.data.seen as ViewName}
      feet={faulty.data.look.every(isOfFoot)}
      mark={faulty.data.look}
      said={`${said} The sound swing of the school behind it.`}
    />
  );
}
