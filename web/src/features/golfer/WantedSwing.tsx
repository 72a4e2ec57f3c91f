import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Hand } from "@/api/types";
import { PoseStrip } from "./PoseStrip";

/** The sound swing of a student's pressure school, moment by moment. */
export function WantedSwing({ studentId, hand }: { studentId: string; hand: Hand }) {
  const approach = useQuery(queries.studentApproach(studentId));
  const school = approach.data?.exceptions.pressure ?? approach.data?.coach.pressure;
  const motion = useQuery({ ...queries.swingMotion({}, hand, school ?? ""), enabled: !!school });
  if (!motion.data) return null;
  return (
    <figure className="grid w-full gap-1">
      <PoseStrip motion={motion.data} hand={hand} />
      <figcaption>The swing that the approach for this student wants.</figcaption>
    </figure>
  );
}
