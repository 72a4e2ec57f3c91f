import type { Kept } from "@/api/useMeanwhile";
import type { Rules } from "@/api/merge";
import type { Lesson, LessonEntry } from "@/api/types";

/** Balls counted in two windows are all counted, and both notes stay. */
export const RULES: Rules = {
  counts: (path) => path.includes(".shots."),
  texts: (path) => path === "note",
};

/** With the diagnosis on it, or as it is stored after somebody else's change. */
export type Entered = Lesson | { entry: LessonEntry; version: number; saves: string[] };

export const storedEntry = (lesson: Entered): Kept<LessonEntry> => ({
  value: lesson.entry,
  version: lesson.version,
  saves: lesson.saves,
});
