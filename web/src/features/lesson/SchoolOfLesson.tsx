import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Problem } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Lesson, LessonEntry, StudentApproach } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";

/** The pressure school this lesson is read by; another one can be kept for the student. */
export function SchoolOfLesson({
  lesson,
  entry,
  catalogue,
  change,
}: {
  lesson: Lesson;
  entry: LessonEntry;
  catalogue: Catalogue;
  change: (change: (entry: LessonEntry) => LessonEntry) => void;
}) {
  const client = useQueryClient();
  const chosen = entry.approach.pressure ?? "";
  const approach = useQuery(queries.studentApproach(lesson.studentId));
  const keep = useMutation({
    mutationFn: (stored: StudentApproach) =>
      api
        .put<StudentApproach>(
          `/api/students/${lesson.studentId}/approach`,
          { exceptions: { ...stored.exceptions, pressure: chosen } },
          { seen: stored.version },
        )
        .catch((failure: Problem) => {
          if (!failure.isStale) throw failure;
          const now = failure.current as StudentApproach;
          // Only this one answer is changed: over whatever else was changed meanwhile.
          return api.put<StudentApproach>(
            `/api/students/${lesson.studentId}/approach`,
            { exceptions: { ...now.exceptions, pressure: chosen } },
            { seen: now.version },
          );
        }),
    onSuccess: (answer) => client.setQueryData(queries.studentApproach(lesson.studentId).queryKey, answer),
  });
  const begins = approach.data && (approach.data.exceptions.pressure ?? approach.data.coach.pressure);
  return (
    <div className="grid justify-items-start gap-1">
      <label className="grid gap-1">
        <span className="text-soft text-sm">Pressure school of this lesson</span>
        <select
          value={chosen}
          onChange={(e) =>
            change((was) => ({ ...was, approach: { ...was.approach, pressure: e.target.value } }))
          }
        >
          {catalogue.schools.map((s) => (
            <option key={s.id} value={s.id}>
              {s.label}
            </option>
          ))}
        </select>
      </label>
      {approach.data && begins !== chosen && (
        <Button
          weight="quiet"
          className="px-2! text-sm"
          disabled={keep.isPending}
          onClick={() => keep.mutate(approach.data)}
        >
          Keep it for {lesson.studentName}
        </Button>
      )}
      {keep.isError && <Failed error={keep.error} />}
    </div>
  );
}
